<?php

declare(strict_types=1);

namespace Metrum\Learning\Ice;

use Metrum\Installation\BoxControl;
use Metrum\Installation\Circuit;
use Metrum\Installation\CondenserPlace;
use Metrum\Installation\DefrostKind;
use Metrum\Installation\Design;
use Metrum\Installation\HeadPressureControl;
use Metrum\Installation\IceMaking;
use Metrum\Installation\IceWords;
use Metrum\Installation\Kind;
use Metrum\Installation\Metering;
use Metrum\Installation\PlantAge;
use Metrum\Installation\WaterFill;
use Metrum\Quantity\Atmosphere;
use Metrum\Twin\Dice;
use Metrum\Twin\Ice\IceMachine;
use Metrum\Twin\Ice\IceSizing;
use Metrum\Twin\Ice\Plate;

/** Plausible batch ice machines, each as it was designed: what its plate says is left to be worked out. */
final readonly class RandomIceMachines
{
    private const REFRIGERANTS = ['R-404A' => 38, 'R-448A' => 24, 'R-134a' => 16, 'R-290' => 16, 'R-449A' => 6];

    /** kg a day. */
    private const SIZES = [50.0, 1000.0];

    /** kg a day up to which a capillary may feed it. */
    private const CAPILLARY = 260.0;

    public function __construct(private Dice $dice)
    {
    }

    /** A circuit that is wholly known but for what it is rated for, and how large it is. */
    public function next(): DrawnIceMachine
    {
        $dice = $this->dice;
        $day = exp($dice->between(log(self::SIZES[0]), log(self::SIZES[1])));
        $condenser = CondenserPlace::from($dice->weighed(['air_indoor' => 72, 'water' => 18, 'air_outdoor' => 10]));
        $control = $this->headControl($condenser);
        $floods = $control === HeadPressureControl::FloodingValve;
        $isCapillary = ! $floods && $day < self::CAPILLARY && $dice->chance(0.45);
        $circuit = new Circuit(
            $dice->weighed(self::REFRIGERANTS),
            Kind::IceMachine,
            $isCapillary ? Metering::Capillary : Metering::Txv,
            $condenser,
            $control,
            receiver: $floods || (! $isCapillary && $dice->chance(0.6)),
            regulator: false,
            suctionAccumulator: $dice->chance(0.2),
            boxControl: BoxControl::Thermostat,
            defrost: DefrostKind::HotGas,
            design: new Design(
                condenserSplit: $dice->between(9.0, 18.0),
                superheat: $dice->between(2.5, 7.0),
                subcooling: $dice->between(2.0, 9.0),
            ),
            atmosphere: $dice->chance(0.75)
                ? Atmosphere::atAltitude(0)
                : Atmosphere::atAltitude($dice->between(50.0, 1800.0)),
            exchanger: false,
            ice: new IceWords(
                IceMaking::Batch,
                $dice->chance(0.85) ? WaterFill::Once : WaterFill::Refilled,
                $dice->chance(0.8) ? PlantAge::InService : PlantAge::New,
            ),
        );
        $batch = $day * $dice->between(600.0, 1400.0) / 86400.0;

        return new DrawnIceMachine(
            $circuit,
            $day * 395e3 / 86400.0 / 0.87,
            IceSizing::DIFFERENCE * $dice->between(0.6, 1.4),
            new Plate(
                $batch,
                iceShare: $dice->between(0.45, 1.5),
                purged: $dice->between(0.15, 1.1),
                kept: $dice->between(0.03, 0.2),
                release: 24e3 * $dice->factor(0.25),
                coldest: $dice->between(252.0, 270.0),
            ),
            $dice->between(2.5, 8.0) / 1e3,
        );
    }

    private function headControl(CondenserPlace $condenser): HeadPressureControl
    {
        $shares = match ($condenser) {
            CondenserPlace::Water => ['water_valve' => 70, 'none' => 30],
            CondenserPlace::AirIndoor => ['none' => 42, 'fan_cycling' => 50, 'fan_speed' => 8],
            CondenserPlace::AirOutdoor => ['flooding_valve' => 60, 'fan_cycling' => 30, 'fan_speed' => 10],
        };

        return HeadPressureControl::from($this->dice->weighed($shares));
    }

    /** The loop as it is planned, with its plate. */
    public static function planned(DrawnIceMachine $drawn): IceMachine
    {
        $loop = (new IceSizing($drawn->circuit, $drawn->difference))->loop($drawn->cooling);

        return new IceMachine($loop, $drawn->plate);
    }
}
