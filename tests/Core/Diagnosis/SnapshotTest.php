<?php

declare(strict_types=1);

namespace Tests\Core\Diagnosis;

use Metrum\Diagnosis\Diagnosis;
use Metrum\Diagnosis\Snapshot;
use Metrum\Diagnosis\Sureness;
use Metrum\Diagnosis\Verdict;
use Metrum\Findings\Mark;
use Metrum\Knowledge\Fault;
use PHPUnit\Framework\TestCase;
use Tests\Core\Visits;

/** How sure is sure, and what is kept of a verdict. */
final class SnapshotTest extends TestCase
{
    public function test_a_probability_becomes_a_word_at_its_threshold(): void
    {
        foreach ([Sureness::Leaning, Sureness::Likely, Sureness::Sure] as $i => $word) {
            self::assertSame($word, Sureness::of($word->begins()));
            self::assertSame(Sureness::cases()[$i], Sureness::of($word->begins() - 1e-9), 'the word below');
            self::assertTrue($word->isAtLeast(Sureness::cases()[$i]));
            self::assertFalse(Sureness::cases()[$i]->isAtLeast($word));
        }
    }

    public function test_the_mark_follows_fault_and_sureness(): void
    {
        $faults = array_map(
            static fn (float $probability): Mark => Verdict::markOf(
                Fault::Undercharge,
                Sureness::of($probability),
            ),
            [0.1, 0.5, 0.95],
        );
        self::assertSame(Mark::Act, $faults[2]);
        self::assertNotSame(Mark::Act, $faults[0]);
        self::assertSame(Mark::Fine, Verdict::markOf(Fault::NoFault, Sureness::Sure));
    }

    public function test_what_is_kept_comes_back_the_same(): void
    {
        $findings = Visits::of(Visits::COOLER + ['readings' => Visits::HEALTHY]);
        $kept = Snapshot::of((new Diagnosis())->of($findings), $findings);
        $json = json_decode((string) json_encode($kept->toArray()), true, 16, JSON_THROW_ON_ERROR);

        self::assertEquals($kept, Snapshot::fromArray($json));
        self::assertFalse($kept->blank);
        self::assertTrue($kept->settled);
        self::assertCount(3, $kept->ranking);
    }

    public function test_it_needs_a_look_where_an_unproven_fault_leads(): void
    {
        $snapshot = static fn (Fault $fault, float $probability, Fault ...$confirmed): Snapshot => new Snapshot(
            false,
            true,
            array_values($confirmed),
            [[$fault, $probability]],
        );
        $leads = Sureness::Leaning->begins();

        self::assertTrue($snapshot(Fault::Undercharge, $leads)->needsALook());
        self::assertFalse($snapshot(Fault::Undercharge, $leads - 0.01)->needsALook());
        self::assertFalse($snapshot(Fault::NoFault, 0.9)->needsALook());
        self::assertFalse(
            $snapshot(Fault::Undercharge, 0.9, Fault::CondenserAirflowLow)->needsALook(),
            'proven',
        );
        self::assertFalse((new Snapshot(true, false, [], [[Fault::Undercharge, 0.9]]))->needsALook(), 'blank');
    }

    public function test_faults_that_are_no_longer_known_are_left_out(): void
    {
        $kept = Snapshot::fromArray([
            'blank' => false,
            'settled' => true,
            'confirmed' => ['gremlins', 'undercharge'],
            'ranking' => [
                ['fault' => 'gremlins', 'probability' => 0.7],
                ['fault' => 'overcharge', 'probability' => 0.2],
            ],
        ]);

        self::assertSame([Fault::Undercharge], $kept->confirmed);
        self::assertSame([[Fault::Overcharge, 0.2]], $kept->ranking);
        self::assertTrue(Snapshot::fromArray([])->blank);
    }
}
