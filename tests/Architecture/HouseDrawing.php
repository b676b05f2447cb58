<?php

declare(strict_types=1);

namespace Tests\Architecture;

/** The rooms one above the other, each arrow an arc to a room below: those within a house left, into the core right. */
final readonly class HouseDrawing
{
    private const WIDTH = 1000;

    private const TOP = 96;

    private const ROW = 60;

    /** Letters that stand in a line of a box. */
    private const LINE = 54;

    private const ATTIC_GAP = 40;

    private const LEFT = 330;

    private const RIGHT = 670;

    /** @param  array<string, array<string, list<string>>>  $arrows */
    public function __construct(private string $root, private array $arrows)
    {
    }

    public function svg(): string
    {
        $height = self::TOP + count(Rooms::all()) * self::ROW + self::ATTIC_GAP + 30;
        $parts = [
            '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 '.
            self::WIDTH.
            ' '.
            $height.
            '" '.
            'font-family="sans-serif" font-size="14">',
            '<title>The rooms of Metrum and which knows which</title>',
            '<rect width="100%" height="100%" fill="#fbfaf6"/>',
            self::text(self::WIDTH / 2, 34, 'Rooms and arrows', 20, '#1d2a33', 'middle'),
            self::text(
                self::WIDTH / 2,
                58,
                'An arc runs from a room down to one it knows; the thicker, the more files name it. Left: within app '.
                    'or core. Right: from app into core. ⇄: a folder and its room know each other.',
                13,
                '#4a5a64',
                'middle',
            ),
            ...$this->arcs(),
            ...array_map($this->room(...), array_keys([...Rooms::CORE, ...Rooms::APP])),
            '</svg>',
        ];

        return implode("\n", $parts)."\n";
    }

    /** @return list<string> */
    private function arcs(): array
    {
        $arcs = [];
        foreach ($this->arrows as $room => $others) {
            foreach ($others as $other => $files) {
                $arcs[] = $this->arc($room, $other, count($files));
            }
        }

        return $arcs;
    }

    private function arc(string $room, string $other, int $files): string
    {
        $within = explode('\\', $room)[0] === explode('\\', $other)[0];
        $from = $this->middle($room) + 7;
        $to = $this->middle($other) - 7;
        $edge = $within ? self::LEFT : self::RIGHT;
        $reach = 24 + 0.42 * abs($to - $from);
        $out = $within ? max(12.0, $edge - $reach) : min(self::WIDTH - 12.0, $edge + $reach);
        $colour = match (true) {
            ! $within => '#b9763a',
            str_starts_with($room, 'Metrum') => '#2f6f8f',
            default => '#5d7f3f',
        };
        $tip = $within ? -7 : 7;

        return sprintf(
            '<g fill="none" stroke="%s" stroke-opacity="0.7"><title>%s knows %s: %d files</title>'.
                '<path stroke-width="%.1f" d="M%d %.1f C%.1f %.1f %.1f %.1f %d %.1f"/>'.
                '<path stroke-width="1.6" d="M%d %.1f L%d %.1f L%d %.1f"/></g>',
            $colour,
            $room,
            $other,
            $files,
            0.8 + 0.5 * sqrt($files),
            $edge,
            $from,
            $out,
            $from,
            $out,
            $to,
            $edge,
            $to,
            $edge + $tip,
            $to - 4,
            $edge,
            $to,
            $edge + $tip,
            $to + 4,
        );
    }

    private function room(string $name): string
    {
        $core = isset(Rooms::CORE[$name]);
        $room = ($core ? 'Metrum\\' : 'App\\').$name;
        $y = $this->middle($room);
        $purpose = $core ? Rooms::CORE[$name] : Rooms::APP[$name];
        $files = count(Rooms::files($this->root.'/'.Rooms::folder($room)));

        return sprintf(
            '<rect x="%d" y="%.1f" width="%d" height="52" rx="5" fill="%s" stroke="#8a979e"/>',
            self::LEFT,
            $y - 26,
            self::RIGHT - self::LEFT,
            $core ? '#e3eef3' : '#eaf0e2',
        ).
            self::text(self::LEFT + 12, $y - 9, Rooms::folder($room), 15, '#1d2a33').
            self::text(
                self::RIGHT - 12,
                $y - 9,
                $files.($files === 1 ? ' file' : ' files'),
                12,
                '#4a5a64',
                'end',
            ).
            self::text(self::LEFT + 12, $y + 6, self::inOneLine($purpose), 12, '#33434c').
            self::text(self::LEFT + 12, $y + 20, self::inOneLine($this->inside($room)), 11, '#5c6b73');
    }

    /** "with Calculators ⇄, Sums": its folders; ⇄ where folder and room know each other */
    private function inside(string $room): string
    {
        $folders = [];
        foreach (Rooms::folders($this->root, $room) as $folder => $circles) {
            $folders[] = $folder.($circles ? ' ⇄' : '');
        }

        return $folders === [] ? '' : 'with '.implode(', ', $folders);
    }

    private static function inOneLine(string $text): string
    {
        return mb_strlen($text) > self::LINE ? mb_substr($text, 0, self::LINE - 1).'…' : $text;
    }

    private function middle(string $room): float
    {
        $all = Rooms::all();
        $fromTop = count($all) - 1 - (int) array_search($room, $all, true);
        $core = str_starts_with($room, 'Metrum');

        return self::TOP + $fromTop * self::ROW + 26 + ($core ? self::ATTIC_GAP : 0);
    }

    private static function text(
        float $x,
        float $y,
        string $text,
        int $size,
        string $colour,
        string $anchor = 'start',
    ): string {
        return sprintf(
            '<text x="%.1f" y="%.1f" font-size="%d" fill="%s" text-anchor="%s">%s</text>',
            $x,
            $y,
            $size,
            $colour,
            $anchor,
            htmlspecialchars($text),
        );
    }
}
