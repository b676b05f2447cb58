<?php

declare(strict_types=1);

namespace Metrum\Work\Compressor;

use Metrum\Diagnosis\FaultCatalogue;
use Metrum\Findings\Findings;
use Metrum\Knowledge\Fault;
use Metrum\Knowledge\Observation;
use Metrum\Knowledge\Reading;
use Metrum\Log\FactKind;
use Metrum\Log\Kinds\StepTaken;
use Metrum\Log\Log;

/** Why compressors fail: each must be answered before another one is put in, else it fails as this one did. */
final readonly class ReplacementReasons
{
    /** What answers each: readings, observations, and procedures that were ended. */
    private const REASONS = [
        'Liquid return' => [[Reading::SuctionTemperatureCompressor, Reading::SuperheatLowest], ['oil_trip']],
        'Oil' => [[Observation::OilLevel, Reading::OilPressureDifference], ['oil_trip']],
        'Overheating' => [[Reading::DischargeTemperature], []],
        'Electrical supply' => [[Reading::SupplyVoltage], ['supply_legs']],
        'Acid' => [[], ['acid_test']],
        'Dirty condenser' => [[Observation::CondenserFace], ['wash_test']],
        'Trips and short cycling' => [[Observation::Compressor], ['low_pressure_stops', 'oil_trip']],
    ];

    public function __construct(private Findings $findings, private Log $log)
    {
    }

    /** @return array<string, bool> whether each is answered */
    public function all(): array
    {
        $known = $this->findings->readings + $this->findings->observations;
        $ended = $this->ended();
        $answered = [];
        foreach (self::REASONS as $text => [$asked, $cards]) {
            $told = array_filter($asked, static fn (Reading|Observation $one): bool => isset($known[$one->value]));
            $answered[$text] = $told !== [] || array_intersect($cards, $ended) !== [];
        }
        foreach (FaultCatalogue::entry(Fault::CompressorInefficient)->beforeReplacing as $one) {
            if ($one->fits($this->findings)) {
                $answered[ucfirst($one->text)] = $one->isDone($this->findings);
            }
        }

        return $answered;
    }

    /** @return list<string> that are not answered yet */
    public function open(): array
    {
        return array_keys(array_filter($this->all(), static fn (bool $one): bool => ! $one));
    }

    /** @return list<string> procedures that came to an end at this visit */
    private function ended(): array
    {
        $ended = [];
        foreach ($this->log->standing(FactKind::Card) as $fact) {
            $card = StepTaken::outcome($fact->content) === null ? null : StepTaken::card($fact->content->key);
            $ended = $card === null ? $ended : [...$ended, $card->key];
        }

        return $ended;
    }
}
