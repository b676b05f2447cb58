<?php

declare(strict_types=1);

namespace Metrum\Log;

/**
 * When something was entered, by the clock of the device it was entered on.
 *
 * The device's clock may be wrong; what it measured between entering and sending is not. That span is counted back
 * from the moment the entry arrived, and held between the opening of its visit and that moment.
 */
final readonly class DeviceClock
{
    public function __construct(private \DateTimeImmutable $opened, private \DateTimeImmutable $arrived)
    {
    }

    /**
     * @param  ?\DateTimeInterface  $made  the device's clock when it was entered; null: it does not say
     * @param  ?\DateTimeInterface  $sent  the same clock when it was sent
     */
    public function moment(?\DateTimeInterface $made, ?\DateTimeInterface $sent): \DateTimeImmutable
    {
        if ($made === null || $sent === null) {
            return $this->arrived;
        }
        $waited = (float) $sent->format('U.u') - (float) $made->format('U.u');
        if ($waited <= 0.0) {
            return $this->arrived;
        }
        $arrived = (float) $this->arrived->format('U.u');
        $opened = (float) $this->opened->format('U.u');
        $moment = \DateTimeImmutable::createFromFormat('U.u', sprintf('%.6F', max($opened, $arrived - $waited)));
        assert($moment !== false);

        return $moment->setTimezone($this->arrived->getTimezone());
    }
}
