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
final class VisitReader extends StrictReader
{
    private const TOP = [
        'format',
        'version',
        'id',
        'taken_at',
        'system',
        'design',
        'complaint',
        'confirmed',
        'state',
        'readings',
        'observations',
        'tests',
    ];

    private const SYSTEM = [
        'kind',
        'refrigerant',
        'metering',
        'condenser',
        'head_pressure_control',
        'receiver',
        'evaporator_pressure_regulator',
        'suction_accumulator',
        'box_control',
        'defrost',
        'atmospheric_kpa',
    ];

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

    /**
     * A circuit in the words of a visit file.
     *
     * @param  array<string, mixed>  $system
     * @param  array<string, mixed>  $design
     *
     * @throws RefusedFile
     */
    public static function plant(array $system, array $design): Circuit
    {
        return self::decoded(
            (object) [
                'format' => 'metrum-visit',
                'version' => 1,
                'system' => (object) $system,
                'design' => (object) $design,
            ],
        )->circuit;
    }

    /** @param  mixed  $file  what json_decode gave, objects as objects @throws RefusedFile */
    public static function decoded(mixed $file): Findings
    {
        return (new self(Library::standard()))->read($file);
    }

    private function read(mixed $file): Findings
    {
        if (! ($file instanceof \stdClass)) {
            throw new RefusedFile(['file: '.self::shown($file).' was given; a visit is a JSON object']);
        }
        $top = get_object_vars($file);
        $this->known('', $top, self::TOP);
        $this->constant($top, 'format', 'metrum-visit');
        $this->constant($top, 'version', 1);
        $id = $this->text($top, 'id');
        $takenAt = $this->text($top, 'taken_at');
        if (
            $takenAt !== null &&
            preg_match(
                '/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?)?$/',
                $takenAt,
            ) !== 1
        ) {
            $this->refuse(
                'taken_at',
                self::shown($takenAt).' was given; a date and time as 2026-06-03T10:40:00+02:00 is wanted',
            );
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

        return new Findings(
            $circuit,
            $state,
            $complaints,
            $readings,
            $observations,
            $tests,
            $confirmed,
            [],
            $id,
            $takenAt,
        );
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
            $this->refuse(
                'system.refrigerant',
                self::shown($refrigerant).
                    ' is not in the library; known: '.
                    implode(', ', $this->library->names()),
            );
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

        return $this->reasons === [] && $refrigerant !== null
            ? new Circuit($refrigerant, ...[...$circuit, $design, $atmosphere])
            : null;
    }

    /** @param  array<mixed>  $section */
    private function design(array $section): Design
    {
        $this->known('design.', $section, array_keys(Design::KEYS));
        $values = [];
        foreach (Design::KEYS as $key => [$property, $least, $most]) {
            $given = $this->number($section, $key, 'design.');
            if ($given !== null && ($given < $least || $given > $most)) {
                $this->refuse(
                    'design.'.$key,
                    self::shown($given).' was given; possible is '.$least.' to '.$most,
                );
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
                $this->refuse(
                    $name.'.'.$key,
                    self::shown($given).
                        ' was given; possible is '.
                        implode(', ', array_column($case->words(), 'value')),
                );
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
                $this->refuse(
                    $key.'.'.$i,
                    self::shown($given).
                        ' was given; possible is '.
                        implode(', ', array_column($enum::cases(), 'value')),
                );
            } elseif (! in_array($case, $list, true)) {
                $list[] = $case;
            }
        }

        return $list;
    }
}
