<?php

namespace App\Records;

/** A folder of copies of the logbook, each named by when it was made. */
final readonly class BackupFolder
{
    private const NAME = '/^metrum-(\d{8}-\d{6})\.sqlite$/';

    private const STAMP = 'Ymd-His';

    public function __construct(private string $folder)
    {
    }

    /** Where a copy made now goes. */
    public function next(\DateTimeImmutable $now): string
    {
        return $this->folder.'/metrum-'.$now->format(self::STAMP).'.sqlite';
    }

    /**
     * Removes copies older than so many days, by their names; other files stay.
     *
     * @return list<string> what was removed
     */
    public function letGo(int $days, \DateTimeImmutable $now): array
    {
        $oldest = $now->modify("-$days days")->format(self::STAMP);
        $gone = [];
        foreach ((array) scandir($this->folder) as $name) {
            $isOld = preg_match(self::NAME, (string) $name, $is) === 1 && $is[1] < $oldest;
            if ($isOld && @unlink($this->folder.'/'.$name)) {
                $gone[] = (string) $name;
            }
        }

        return $gone;
    }
}
