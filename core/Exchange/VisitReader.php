<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Circuit\BoxControl;
use Metrum\Circuit\Circuit;
use Metrum\Circuit\Complaint;
use Metrum\Circuit\CondenserPlace;
use Metrum\Circuit\DefrostKind;
use Metrum\Circuit\Design;
use Metrum\Circuit\Fault;
use Metrum\Circuit\HeadPressureControl;
use Metrum\Circuit\Kind;
use Metrum\Circuit\Metering;
use Metrum\Circuit\Observation;
use Metrum\Circuit\Reading;
use Metrum\Circuit\State;
use Metrum\Circuit\Test;
use Metrum\Circuit\Word;
use Metrum\Findings\Findings;
use Metrum\Quantity\Atmosphere;
use Metrum\Quantity\NotAQuantity;
use Metrum\Quantity\Unit;
use Metrum\Refrigerant\Library;

/** Reads one visit file strictly: whatever is unknown, of the wrong type or impossible is named with its path. */
final class VisitReader
{
    private const TOP = ['format', 'version', 'id', 'taken_at', 'system', 'design', 'complaint', 'confirmed', 'state', 'readings', 'observations', 'tests'];

    private const SYSTEM = ['kind', 'refrigerant', 'metering', 'condenser', 'head_pressure_control', 'receiver', 'evaporator_pressure_regulator', 'suction_accumulator', 'box_control', 'defrost', 'atmospheric_kpa'];

    /** @var list<string> */
    private array $reasons = [];

    private function __construct(private readonly Library $library)
    {
    }

    /** @throws RefusedFile */
    public static function json(string $text): Findings
    {
        if (str_starts_with($text, "\u{FEFF}")) {
            $text = substr($text, 3);
        }
        try {
            $file = json_decode($text, false, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new RefusedFile(['file: no JSON ('.$error->getMessage().')']);
        }

        return self::decoded($file);
    }

    /** @param  mixed  $file  what json_decode gave, objects as objects @throws RefusedFile */
    public static function decoded(mixed $file): Findings
    {
        return (new self(Library::standard()))->read($file);
    }

    private function read(mixed $file): Findings
    {
        if (! $file instanceof \stdClass) {
            throw new RefusedFile(['file: '.self::shown($file).' was given; a visit is a JSON object']);
        }
        $top = get_object_vars($file);
        $this->known('', $top, self::TOP);
        $this->constant($top, 'format', 'metrum-visit');
        $this->constant($top, 'version', 1);
        $id = $this->text($top, 'id');
        $takenAt = $this->text($top, 'taken_at');
        if ($takenAt !== null && preg_match('/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?)?$/', $takenAt) !== 1) {
            $this->refuse('taken_at', self::shown($takenAt).' was given; a date and time as 2026-06-03T10:40:00+02:00 is wanted');
        }
        $circuit = $this->circuit($top);
        $state = $this->enum($top, 'state', '', State::class);
        $complaints = $this->list($top, 'complaint', Complaint::class);
        $confirmed = $this->list($top, 'confirmed', Fault::class);
        $readings = $this->readings($top, $circuit === null ? Atmosphere::atAltitude(0) : $circuit->atmosphere);
        $observations = $this->words($top, 'observations', Observation::class);
        $tests = $this->words($top, 'tests', Test::class);
        if ($this->reasons !== []) {
            throw new RefusedFile($this->reasons);
        }
        assert($circuit !== null);

        return new Findings($circuit, $state, $complaints, $readings, $observations, $tests, $confirmed, [], $id, $takenAt);
    }

    /** @param  array<mixed>  $top */
    private function circuit(array $top): ?Circuit
    {
        $system = $this->section($top, 'system', true);
        $this->known('system.', $system, self::SYSTEM);
        $design = $this->design($this->section($top, 'design'));
        $atmosphere = null;
        $given = $this->number($system, 'atmospheric_kpa', 'system.');
        if ($given !== null) {
            try {
                $atmosphere = Atmosphere::of(Unit::Kilopascal->toSi($given));
            } catch (NotAQuantity $error) {
                $this->refuse('system.atmospheric_kpa', $error->getMessage());
            }
        }
        $refrigerant = $this->text($system, 'refrigerant', 'system.');
        if ($refrigerant === null) {
            if (! array_key_exists('refrigerant', $system)) {
                $this->refuse('system.refrigerant', 'missing; it is required');
            }
        } elseif (! $this->library->has($refrigerant)) {
            $this->refuse('system.refrigerant', self::shown($refrigerant).' is not in the library; known: '.implode(', ', $this->library->names()));
        }
        $circuit = [
            $this->enum($system, 'kind', 'system.', Kind::class),
            $this->enum($system, 'metering', 'system.', Metering::class),
            $this->enum($system, 'condenser', 'system.', CondenserPlace::class),
            $this->enum($system, 'head_pressure_control', 'system.', HeadPressureControl::class),
            $this->flag($system, 'receiver'),
            $this->flag($system, 'evaporator_pressure_regulator'),
            $this->flag($system, 'suction_accumulator'),
            $this->enum($system, 'box_control', 'system.', BoxControl::class),
            $this->enum($system, 'defrost', 'system.', DefrostKind::class),
        ];

        return $this->reasons === [] && $refrigerant !== null ? new Circuit($refrigerant, ...[...$circuit, $design, $atmosphere]) : null;
    }

    /** @param  array<mixed>  $section */
    private function design(array $section): Design
    {
        $this->known('design.', $section, array_keys(Design::KEYS));
        $values = [];
        foreach (Design::KEYS as $key => [$property, $least, $most]) {
            $given = $this->number($section, $key, 'design.');
            if ($given !== null && ($given < $least || $given > $most)) {
                $this->refuse('design.'.$key, self::shown($given).' was given; possible is '.$least.' to '.$most);
            } elseif ($given !== null) {
                $values[$property] = DesignUnits::of($key)->toSi($given);
            }
        }

        return new Design(...$values);
    }

    /**
     * @param  array<mixed>  $top
     * @return array<string, float>
     */
    private function readings(array $top, Atmosphere $atmosphere): array
    {
        $section = $this->section($top, 'readings');
        $this->known('readings.', $section, array_column(Reading::cases(), 'value'));
        $readings = [];
        foreach (array_map(strval(...), array_keys($section)) as $key) {
            $reading = Reading::tryFrom($key);
            $given = $reading === null ? null : $this->number($section, $key, 'readings.');
            if ($reading === null || $given === null) {
                continue;
            }
            $si = $reading->fileUnit()->toSi($given);
            $impossible = Plausible::refusal($reading, $si, $atmosphere);
            if ($impossible !== null) {
                $this->refuse('readings.'.$key, self::shown($given).' was given; '.$impossible);
            } else {
                $readings[$key] = $si;
            }
        }

        return $readings;
    }

    /**
     * @param  array<mixed>  $top
     * @param  class-string<Observation>|class-string<Test>  $keys
     * @return array<string, Word>
     */
    private function words(array $top, string $name, string $keys): array
    {
        $section = $this->section($top, $name);
        $this->known($name.'.', $section, array_column($keys::cases(), 'value'));
        $words = [];
        foreach ($section as $key => $given) {
            $case = $keys::tryFrom((string) $key);
            if ($case === null) {
                continue;
            }
            $word = is_string($given) ? Word::tryFrom($given) : null;
            if ($word === null || ! in_array($word, $case->words(), true)) {
                $this->refuse($name.'.'.$key, self::shown($given).' was given; possible is '.implode(', ', array_column($case->words(), 'value')));
            } else {
                $words[$case->value] = $word;
            }
        }

        return $words;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  array<mixed>  $top
     * @param  class-string<T>  $enum
     * @return list<T>
     */
    private function list(array $top, string $key, string $enum): array
    {
        if (! array_key_exists($key, $top)) {
            return [];
        }
        if (! is_array($top[$key])) {
            $this->refuse($key, self::shown($top[$key]).' was given; a list of words is wanted');

            return [];
        }
        $list = [];
        foreach (array_values($top[$key]) as $i => $given) {
            $case = is_string($given) ? $enum::tryFrom($given) : null;
            if ($case === null) {
                $this->refuse($key.'.'.$i, self::shown($given).' was given; possible is '.implode(', ', array_column($enum::cases(), 'value')));
            } elseif (! in_array($case, $list, true)) {
                $list[] = $case;
            }
        }

        return $list;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  array<mixed>  $section
     * @param  class-string<T>  $enum
     * @return T|null
     */
    private function enum(array $section, string $key, string $path, string $enum): ?\BackedEnum
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        $given = $section[$key];
        $case = is_string($given) ? $enum::tryFrom($given) : null;
        if ($case === null) {
            $this->refuse($path.$key, self::shown($given).' was given; possible is '.implode(', ', array_column($enum::cases(), 'value')));
        }

        return $case;
    }

    /** @param  array<mixed>  $section */
    private function number(array $section, string $key, string $path): ?float
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        $given = $section[$key];
        if ((! is_int($given) && ! is_float($given)) || ! is_finite((float) $given)) {
            $this->refuse($path.$key, self::shown($given).' was given; a number is wanted');

            return null;
        }

        return (float) $given;
    }

    /** @param  array<mixed>  $section */
    private function flag(array $section, string $key): ?bool
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        if (! is_bool($section[$key])) {
            $this->refuse('system.'.$key, self::shown($section[$key]).' was given; true or false is wanted');

            return null;
        }

        return $section[$key];
    }

    /** @param  array<mixed>  $section */
    private function text(array $section, string $key, string $path = ''): ?string
    {
        if (! array_key_exists($key, $section)) {
            return null;
        }
        if (! is_string($section[$key]) || $section[$key] === '' || strlen($section[$key]) > 120) {
            $this->refuse($path.$key, self::shown($section[$key]).' was given; a text of 1 to 120 characters is wanted');

            return null;
        }

        return $section[$key];
    }

    /**
     * @param  array<mixed>  $top
     * @return array<mixed>
     */
    private function section(array $top, string $key, bool $required = false): array
    {
        if (! array_key_exists($key, $top)) {
            if ($required) {
                $this->refuse($key, 'missing; it is required');
            }

            return [];
        }
        if (! $top[$key] instanceof \stdClass) {
            $this->refuse($key, self::shown($top[$key]).' was given; an object is wanted');

            return [];
        }

        return get_object_vars($top[$key]);
    }

    /** @param  array<mixed>  $top */
    private function constant(array $top, string $key, string|int $wanted): void
    {
        if (! array_key_exists($key, $top)) {
            $this->refuse($key, 'missing; it is required ('.$wanted.')');
        } elseif ($top[$key] !== $wanted) {
            $this->refuse($key, self::shown($top[$key]).' was given; '.$wanted.' is wanted');
        }
    }

    /**
     * @param  array<mixed>  $section
     * @param  list<string>  $known
     */
    private function known(string $path, array $section, array $known): void
    {
        foreach (array_keys($section) as $key) {
            if (! in_array((string) $key, $known, true)) {
                $this->refuse($path.$key, 'unknown key'.self::nearest((string) $key, $known));
            }
        }
    }

    /** @param  list<string>  $known */
    private static function nearest(string $key, array $known): string
    {
        $best = null;
        $least = 5;
        foreach ($known as $candidate) {
            $distance = levenshtein(substr($key, 0, 60), $candidate);
            if ($distance < $least) {
                $least = $distance;
                $best = $candidate;
            }
        }

        return $best === null ? '' : '; is '.$best.' meant?';
    }

    private function refuse(string $path, string $reason): void
    {
        $this->reasons[] = (mb_strlen($path) > 120 ? mb_substr($path, 0, 120).'…' : $path).': '.$reason;
    }

    private static function shown(mixed $given): string
    {
        $text = match (true) {
            is_string($given) => '"'.$given.'"',
            is_scalar($given) => (string) json_encode($given),
            $given === null => 'null',
            is_array($given) => 'a list',
            default => 'an object',
        };

        return mb_strlen($text) > 60 ? mb_substr($text, 0, 60).'…' : $text;
    }
}
