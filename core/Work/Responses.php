<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Log\Content;

/** What each control did so far, by its settled readings of this visit and of earlier ones. */
final class Responses
{
    /** @var array<string, ?Response> by control and part */
    private array $responses = [];

    /**
     * @param  ?\Closure(): list<array{Control, PartId, list<list<array{float, float}>>}>  $earlier  settled readings of
     *                                                        earlier visits, asked for when something is to be learned
     */
    public function __construct(private readonly Assessment $assessment, private readonly ?\Closure $earlier = null)
    {
    }

    /** What one unit of a control does; null where it was not moved and read. */
    public function of(Control $control, PartId $part): ?Response
    {
        $key = $control->value.' '.$part;
        if (! array_key_exists($key, $this->responses)) {
            $this->responses[$key] = $this->learned($control, $part);
        }

        return $this->responses[$key];
    }

    private function learned(Control $control, PartId $part): ?Response
    {
        $figure = Assessment::figureOf($control);
        if ($figure === null || $control->row()->step === null) {
            return null;
        }
        $runs = $this->runs($control, $part);
        foreach ($this->earlier === null ? [] : ($this->earlier)() as [$moved, $of, $before]) {
            $runs = $moved === $control && $of->is($part) ? [...$before, ...$runs] : $runs;
        }
        $runs = array_values(array_filter($runs, static fn (array $points): bool => count($points) > 1));

        return $runs === [] ? null : Response::learned(
            $control,
            $part,
            $figure,
            $runs,
            $this->assessment->forecasts->slope($control, $part),
        );
    }

    /** @return list<array{Control, PartId}> what was moved in steps, in the order in which it was first moved */
    private function moved(): array
    {
        $moved = [];
        foreach ($this->assessment->chapters->all as $chapter) {
            $move = $chapter->began;
            if ($move !== null && Control::from($move->content->key)->isStep()) {
                $moved[$move->content->key.' '.$move->part] = [Control::from($move->content->key), $move->part];
            }
        }

        return array_values($moved);
    }

    /** @return list<array{Control, PartId, list<list<array{float, float}>>}> settled readings of all that was moved */
    public function points(): array
    {
        return array_map(
            fn (array $one): array => [$one[0], $one[1], $this->runs($one[0], $one[1])],
            $this->moved(),
        );
    }

    /** @return list<Response> what was learned of all that was moved at this visit or at one before */
    public function everKnown(): array
    {
        $moved = $this->moved();
        foreach ($this->earlier === null ? [] : ($this->earlier)() as [$control, $part]) {
            $moved[] = [$control, $part];
        }
        foreach ($moved as [$control, $part]) {
            $this->of($control, $part);
        }

        return array_values(array_filter($this->responses));
    }

    /** @return list<Response> what was learned of all that was moved */
    public function all(): array
    {
        $responses = [];
        foreach ($this->moved() as [$control, $part]) {
            $response = $this->of($control, $part);
            if ($response !== null) {
                $responses[] = $response;
            }
        }

        return $responses;
    }

    /**
     * Settled points of a control: its position and the figure there. Where something else was moved between, or
     * another part together with it, another run begins.
     *
     * @return list<list<array{float, float}>>
     */
    private function runs(Control $control, PartId $part): array
    {
        $runs = [[]];
        $position = 0.0;
        $own = $other = false;
        foreach ($this->assessment->chapters->all as $chapter) {
            $move = $chapter->began;
            if ($move !== null && $move->isMoveOf($control, $part)) {
                $position += $move->content->value ?? 0.0;
                $own = true;
            } elseif ($move !== null && ! self::isOfOtherPart($move->content, $control)) {
                $runs[] = [];
            } else {
                $other = $other || $move !== null;
            }
            $figure = $this->assessment->figure($chapter, $control, $part);
            if ($figure === null) {
                continue;
            }
            // Both moved before anything was read: nobody can tell which of them did it.
            if ($own && $other) {
                $runs[] = [];
            }
            $runs[array_key_last($runs)][] = [$position, $figure];
            $own = $other = false;
        }

        return $runs;
    }

    /** The same control at another coil does not move this one's level. */
    private static function isOfOtherPart(Content $move, Control $control): bool
    {
        return $move->key === $control->value;
    }
}
