<?php

namespace App\View\Site;

use App\Models\User;
use App\Models\Visit;
use App\Records\TagOpened;
use Metrum\Installation\PartId;
use Metrum\Knowledge\Station;

/** Which circuit is it? The one on the page, and the one whose tag a person opened last, where that is another. */
final readonly class WhichOne
{
    public PartId $here;

    private ?TagOpened $tagged;

    public function __construct(private Visit $visit, private Station $station, User $user)
    {
        $this->here = $visit->circuit->partId();
        $this->tagged = $visit->isOpen() ? TagOpened::elsewhere($visit, $this->here, $user) : null;
    }

    public function name(): string
    {
        return $this->visit->circuit->name;
    }

    /** What people call the other one; empty where there is none. */
    public function other(): string
    {
        return $this->tagged->circuit->name ?? '';
    }

    /** The same station of the other one's visit. */
    public function address(): string
    {
        return $this->tagged === null
            ? ''
            : route('visits.show', [$this->tagged->visit->walking($this->tagged->circuit), $this->station->value]);
    }
}
