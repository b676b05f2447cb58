<?php

namespace App\Picture;

use Metrum\Findings\Mark;

/** One case of a rack in its picture: places by height, words for what is written. */
final readonly class RackColumn
{
    /**
     * @param  float  $x  of its middle
     * @param  ?float  $coil  height of the coil as measured; null: not read
     * @param  array{float, float}|null  $expected  heights between which it should be
     * @param  ?float  $air  height of the air that enters it
     * @param  ?float  $supply  height of the air that leaves it
     * @param  ?float  $set  height of its set point
     * @param  string  $text  its air in words
     * @param  string  $doing  what it does where it does not cool
     * @param  string  $circuit  that it is of, by part
     */
    public function __construct(
        public string $name,
        public float $x,
        public float $width,
        public Mark $mark,
        public ?float $coil,
        public ?array $expected,
        public ?float $air,
        public ?float $supply,
        public ?float $set,
        public string $text,
        public string $doing,
        public string $colour,
        public string $circuit,
    ) {
    }

    /** Share of its width that its coil takes. */
    private const COIL = 0.84;

    /** Letters for which a name has room, of each unit of width. */
    private const LETTER = 6.1;

    /** Height of the first line of a name, and of a line. */
    private const NAMES = 362;

    private const LINE = 15;

    public function across(): float
    {
        return self::COIL * $this->width;
    }

    public function from(): float
    {
        return $this->x - $this->across() / 2;
    }

    public function to(): float
    {
        return $this->x + $this->across() / 2;
    }

    /** A small triangle at the left, at its set point. */
    public function setMark(): string
    {
        return sprintf('M%.1f %.1f l7 -4 v8 Z', $this->from(), $this->set);
    }

    /** @return array<int, string> its mark and name by height, on two lines where one has no room for it */
    public function lines(): array
    {
        $room = max(4, (int) ($this->width / self::LETTER));
        $lines = explode("\n", wordwrap($this->mark->sign().' '.$this->name, $room, "\n"), 3);

        $told = [];
        foreach (array_slice($lines, 0, 2) as $place => $line) {
            $fits = mb_strlen($line) <= $room ? $line : mb_substr($line, 0, $room - 1).'…';
            $told[self::NAMES + self::LINE * $place] = $fits;
        }

        return $told;
    }

    /** Of the field in which its coil should be. */
    public function expectedHeight(): float
    {
        return $this->expected === null ? 0.0 : $this->expected[1] - $this->expected[0];
    }
}
