<?php

declare(strict_types=1);

namespace Metrum\Work;

use Metrum\Installation\PartId;
use Metrum\Knowledge\Control;
use Metrum\Knowledge\Hazard;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Word;
use Metrum\Log\Fact;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;

/** What was touched at a visit and is not put back yet. */
final readonly class OpenTouches
{
    private const STEM = 'regulator_stem_on_manual';

    private const THERMOSTAT = 'thermostat';

    /** A closed valve; a circuit that we closed is one. */
    public const VALVE = 'valve_shut';

    /** What is often left open, as it is added by a tap. */
    public const OFTEN = [
        'cap_off',
        self::VALVE,
        'stem_cracked',
        'bulb_off',
        'jumper',
        'solenoid_coil_off',
        'magnet_on',
        'lock_nut',
        self::THERMOSTAT,
    ];

    /** @param  array<string, Fact>  $open  by part and name */
    private function __construct(public array $open)
    {
    }

    public static function of(Log $log): self
    {
        $open = [];
        foreach ($log->happened() as $fact) {
            [$touched, $restored] = self::told($fact);
            if ($touched !== '') {
                $open[$fact->part.' '.$touched] = $fact;
            }
            if ($restored !== '') {
                unset($open[$fact->part.' '.$restored]);
            }
        }

        return new self($open);
    }

    /** @return array{string, string} what a fact says was touched, and what was put back; empty: nothing */
    private static function told(Fact $fact): array
    {
        return match ($fact->kind) {
            FactKind::Touched => [$fact->content->key, ''],
            FactKind::Restored => ['', $fact->content->key],
            FactKind::Observation => self::seen($fact),
            FactKind::Move => $fact->content->key === Control::ThermostatSet->value ? [self::THERMOSTAT, ''] : ['', ''],
            FactKind::Card => [StepTaken::touches($fact->content), StepTaken::restores($fact->content)],
            FactKind::Reading,
            FactKind::Test,
            FactKind::State,
            FactKind::Complaint,
            FactKind::Confirmed,
            FactKind::RuledOut,
            FactKind::Note,
            FactKind::Clock,
            FactKind::Goods,
            FactKind::Site,
            FactKind::Circuit,
            FactKind::Undo => ['', ''],
        };
    }

    /**
     * A regulator whose stem stands on manual is held open by hand, whoever turned it; a circuit that we closed has to
     * be opened again.
     *
     * @return array{string, string}
     */
    private static function seen(Fact $fact): array
    {
        $word = $fact->content->word;

        return match (Observation::tryFrom($fact->content->key)) {
            Observation::RegulatorStem => $word === Word::Manual->value ? [self::STEM, ''] : ['', self::STEM],
            Observation::CircuitShut => $word === Word::ByUs->value ? [self::VALVE, ''] : ['', self::VALVE],
            default => ['', ''],
        };
    }

    /** @return list<array{string, PartId}> name and part of each, in the order in which they were touched */
    public function all(): array
    {
        return array_values(
            array_map(
                static fn (Fact $fact): array => [self::told($fact)[0], $fact->part],
                $this->open,
            ),
        );
    }

    /** @return list<Hazard> that were seen and are not made safe */
    public function hazards(): array
    {
        return array_values(array_filter(array_map(Hazard::tryFrom(...), $this->keys())));
    }

    /** @return list<string> keys, in the order in which they were touched */
    public function keys(): array
    {
        return array_column($this->all(), 0);
    }
}
