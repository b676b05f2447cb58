<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Knowledge\Control;
use Metrum\Log\Content;

/** What each control did so far, by its settled readings of this visit and of earlier ones. */
final class Responses
{
    /** @var array<string, ?Response> by control and subject */
    private array $responses = [];

    /**
     * @param  ?\Closure(): list<array{Control, string, list<list<array{float, float}>>}>  $earlier  settled readings of
     *                                                        earlier visits, asked for when something is to be learned
     */
    public function __construct(private readonly Assessment $assessment, private readonly ?\Closure $earlier = null)
    {
    }

    /** What one unit of a control does; null where it was not moved and read. */
    public function of(Control $control, string $subject): ?Response
    {
        $key = $control->value.' '.$subject;
        if (! array_key_exists($key, $this->responses)) {
            $this->responses[$key] = $this->learned($control, $subject);
        }

        return $this->responses[$key];
    }

    private function learned(Control $control, string $subject): ?Response
    {
        $figure = Assessment::figureOf($control);
        if ($figure === null || $control->row()->step === null) {
            return null;
        }
        $runs = $this->runs($control, $subject);
        foreach ($this->earlier === null ? [] : ($this->earlier)() as [$moved, $of, $before]) {
            $runs = $moved === $control && $of === $subject ? [...$before, ...$runs] : $runs;
        }
        $runs = array_values(array_filter($runs, static fn (array $points): bool => count($points) > 1));

        return $runs === [] ? null : Response::learned(
            $control,
            $subject,
            $figure,
            $runs,
            $this->assessment->forecasts->slope($control, $subject),
        );
    }

    /** @return list<array{Control, string}> what was moved in steps, in the order in which it was first moved */
    private function moved(): array
    {
        $moved = [];
        foreach ($this->assessment->chapters->all as $chapter) {
            $content = $chapter->began?->content;
            if ($content !== null && Control::from($content->key)->isStep()) {
                $moved[$content->key.' '.$content->subject] = [Control::from($content->key), $content->subject];
            }
        }

        return array_values($moved);
    }

    /** @return list<array{Control, string, list<list<array{float, float}>>}> settled readings of all that was moved */
    public function points(): array
    {
        return array_map(
            fn (array $one): array => [$one[0], $one[1], $this->runs($one[0], $one[1])],
            $this->moved(),
        );
    }

    /** @return list<Response> what was learned of all that was moved */
    public function all(): array
    {
        $responses = [];
        foreach ($this->moved() as [$control, $subject]) {
            $response = $this->of($control, $subject);
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
    private function runs(Control $control, string $subject): array
    {
        $runs = [[]];
        $position = 0.0;
        $own = $other = false;
        foreach ($this->assessment->chapters->all as $chapter) {
            $move = $chapter->began?->content;
            if ($move !== null && $move->isOf($control, $subject)) {
                $position += $move->value ?? 0.0;
                $own = true;
            } elseif ($move !== null && ! self::isOfOtherPart($move, $control)) {
                $runs[] = [];
            } else {
                $other = $other || $move !== null;
            }
            $figure = $this->assessment->figure($chapter, $control, $subject);
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
