<?php

namespace App\Records\Owner;

use App\Models\Attachment;
use App\Models\OwnerChoice;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\URL;

/** Where an owner finds one visit, and nothing else: signed, for some weeks. */
final readonly class OwnerLink
{
    public const DAYS = 60;

    private function __construct(private Visit $visit, private Carbon $ends)
    {
    }

    public static function to(Visit $visit): self
    {
        return new self($visit, Carbon::now()->addDays(self::DAYS)->endOfDay());
    }

    /** One that leads on from a link which somebody followed, and ends with it. */
    public static function within(Visit $visit, int $ends): self
    {
        return new self($visit, Carbon::createFromTimestamp($ends));
    }

    public function ends(): Carbon
    {
        return $this->ends;
    }

    public function page(): string
    {
        return URL::temporarySignedRoute('owner', $this->ends, [$this->visit->id]);
    }

    public function pdf(): string
    {
        return URL::temporarySignedRoute('owner.pdf', $this->ends, [$this->visit->id]);
    }

    public function photo(Attachment $photo): string
    {
        return URL::temporarySignedRoute('owner.photo', $this->ends, [$this->visit->id, $photo->id]);
    }

    public function decide(OwnerChoice $choice): string
    {
        return URL::temporarySignedRoute('owner.decide', $this->ends, [$this->visit->id, $choice->id]);
    }
}
