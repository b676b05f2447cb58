<?php

declare(strict_types=1);

namespace Metrum\Exchange;

use Metrum\Data\Reasons;
use Metrum\Data\Refused;
use Metrum\Data\Section;
use Metrum\Findings\Findings;
use Metrum\Installation\CircuitReader;
use Metrum\Knowledge\Complaint;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Knowledge\State;
use Metrum\Knowledge\Test;
use Metrum\Knowledge\Word;
use Metrum\Quantity\Atmosphere;
use Metrum\Refrigerant\Library;

/** Reads one visit file strictly: whatever is unknown, of the wrong type or impossible is named with its path. */
final readonly class VisitReader
{
    public const FORMAT = 'metrum-visit';

    public const VERSION = 1;

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
        'log',
    ];

    private const TIME = '/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?)?$/';

    /** Nobody kept files of visits before. */
    private const FIRST_YEAR = 1900;

    private const DEEPEST = 64;

    private Section $top;

    private function __construct(\stdClass $file, private Reasons $reasons)
    {
        $this->top = new Section('', get_object_vars($file), $reasons);
    }

    /** What it holds at its end. @throws Refused */
    public static function json(string $text): Findings
    {
        return self::visit($text)->findings;
    }

    /** The whole of it, its log too. @throws Refused */
    public static function visit(string $text): VisitFile
    {
        $plain = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        try {
            $file = json_decode($plain, false, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new Refused(['file: no JSON ('.$error->getMessage().')']);
        }
        if (! ($file instanceof \stdClass)) {
            throw new Refused(['file: '.Reasons::shown($file).' was given; a visit is a JSON object']);
        }

        return (new self($file, new Reasons()))->read();
    }

    private function read(): VisitFile
    {
        $top = $this->top;
        $top->only(self::TOP);
        $top->constant('format', self::FORMAT);
        $top->constant('version', self::VERSION);
        $id = $top->text('id');
        $takenAt = $this->time();
        $reader = new CircuitReader($this->reasons, Library::known());
        $circuit = $reader->read($top->section('system', required: true), $top->section('design'));
        $state = $top->word('state', State::class);
        $complaints = $top->words('complaint', Complaint::class);
        $confirmed = $top->words('confirmed', Fault::class);
        $readings = $this->readings($circuit === null ? Atmosphere::atAltitude(0) : $circuit->atmosphere);
        $observations = $this->answers('observations', Observation::class);
        $tests = $this->answers('tests', Test::class);
        $this->reasons->raise();
        assert($circuit !== null);

        $snapshot = new Findings(
            circuit: $circuit,
            state: $state,
            complaints: $complaints,
            readings: $readings,
            observations: $observations,
            tests: $tests,
            confirmed: $confirmed,
            id: $id,
            takenAt: $takenAt,
        );
        $log = $this->top->given('log');
        if ($log === null) {
            return new VisitFile($snapshot, null);
        }

        return (new LogReader($this->reasons, $circuit->atmosphere))->visit($log, $snapshot);
    }

    private function time(): ?string
    {
        $given = $this->top->text('taken_at');
        if ($given !== null && ! self::isTime($given)) {
            $wanted = 'a date and time that exists is wanted, as 2026-06-03T10:40:00+02:00';
            $this->top->refuse('taken_at', Reasons::shown($given).' was given; '.$wanted);
        }

        return $given;
    }

    /** Whether that day, hour and minute are in the calendar and on the clock. */
    public static function isTime(string $given): bool
    {
        if (preg_match(self::TIME, $given) !== 1) {
            return false;
        }
        [$year, $month, $day] = array_map(intval(...), explode('-', substr($given, 0, 10)));
        preg_match('/T(\d{2}):(\d{2})(?::(\d{2}))?/', $given, $clock);
        preg_match('/[+-](\d{2}):?(\d{2})$/', substr($given, 10), $zone);

        return $year >= self::FIRST_YEAR &&
            checkdate($month, $day, $year) &&
            (int) ($clock[1] ?? 0) < 24 &&
            (int) ($clock[2] ?? 0) < 60 &&
            (int) ($clock[3] ?? 0) < 60 &&
            (int) ($zone[1] ?? 0) <= 14 &&
            (int) ($zone[2] ?? 0) < 60;
    }

    /** @return array<string, float> */
    private function readings(Atmosphere $atmosphere): array
    {
        $section = $this->top->section('readings');
        $section->only(array_column(Reading::cases(), 'value'));
        $readings = [];
        foreach ($section->keys() as $key) {
            $reading = Reading::tryFrom($key);
            $si = $reading === null ? null : $section->amount($key, $reading->field($atmosphere));
            if ($si !== null) {
                $readings[$key] = $si;
            }
        }

        return $readings;
    }

    /**
     * @param  class-string<Observation>|class-string<Test>  $questions
     * @return array<string, Word>
     */
    private function answers(string $name, string $questions): array
    {
        $section = $this->top->section($name);
        $section->only(array_column($questions::cases(), 'value'));
        $answers = [];
        foreach ($section->keys() as $key) {
            $asked = $questions::tryFrom($key);
            if ($asked === null) {
                continue;
            }
            $word = $section->oneOf($key, $asked->words(), $section->given($key));
            if ($word !== null) {
                $answers[$key] = $word;
            }
        }

        return $answers;
    }
}
