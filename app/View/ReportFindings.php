<?php

namespace App\View;

use App\Records\JudgedVisit;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Units;

/** What was read, as left, and what was seen and tested, chapter by chapter. */
final readonly class ReportFindings
{
    public function __construct(private JudgedVisit $judged, private Units $units, private bool $isMoved)
    {
    }

    /** @return list<array{name: string, value: string, place: string}> */
    public function readings(): array
    {
        $rows = [];
        foreach (Reading::cases() as $reading) {
            $si = $this->judged->findings->reading($reading);
            if ($si !== null) {
                $rows[] = [
                    'name' => $reading->label(),
                    'value' => $this->units->text($si, $reading->quantity()),
                    'place' => $reading->place(),
                ];
            }
        }

        return $rows;
    }

    /** @return list<array{name: string, value: string}> each with all that was seen of it, chapter by chapter */
    public function seen(): array
    {
        $seen = [];
        foreach ($this->judged->assessment->chapters->all as $chapter) {
            foreach ($chapter->found as $fact) {
                $asked = Observation::tryFrom($fact->content->key) ?? Test::tryFrom($fact->content->key);
                $word = Word::tryFrom((string) $fact->content->word);
                if ($asked !== null && $word !== null) {
                    $seen[$asked->label()][$chapter->number] = lcfirst($word->label());
                }
            }
        }
        $rows = [];
        foreach ($seen as $name => $words) {
            $told = [];
            foreach ($words as $number => $word) {
                $told[] = $word.($this->isMoved ? ' ('.$this->chapter($number).')' : '');
            }
            $rows[] = ['name' => $name, 'value' => implode(', then ', $told)];
        }

        return $rows;
    }

    /** "as found", "after change 2" */
    private function chapter(int $number): string
    {
        return $number === 1 ? 'as found' : 'after change '.($number - 1);
    }
}
