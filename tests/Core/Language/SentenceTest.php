<?php

declare(strict_types=1);

namespace Tests\Core\Language;

use Metrum\Data\Knowledge;
use Metrum\Language\Reason;
use Metrum\Language\Sentence;
use Metrum\Language\Several;
use Metrum\Language\WorkReason;
use Metrum\Quantity\Magnitude;
use Metrum\Quantity\Unit;
use Metrum\Quantity\Units;
use PHPUnit\Framework\TestCase;

/** What is said, and how it reads for somebody: in that reader's units, and nobody else's. */
final class SentenceTest extends TestCase
{
    public function test_every_meaning_has_one_text_and_every_text_its_meaning(): void
    {
        $meant = array_column([...Reason::cases(), ...WorkReason::cases()], 'value');
        self::assertSame($meant, Knowledge::file('sentences')->keys());
    }

    public function test_no_text_writes_an_amount_that_another_reader_would_have_in_other_units(): void
    {
        $amount = '/\d\s*(?:°C|°F|K|kPa|bar|psi|kg|g|lb|min|%)(?!\w)/u';
        foreach ([...Reason::cases(), ...WorkReason::cases()] as $reason) {
            self::assertDoesNotMatchRegularExpression($amount, Knowledge::file('sentences')->text($reason->value));
        }
    }

    public function test_an_amount_told_one_way_keeps_the_ways_named_before(): void
    {
        $metric = new Units();

        self::assertSame('+1.2', Magnitude::difference(1.2)->signed()->bare()->in($metric));
        self::assertSame('+7 K', Magnitude::difference(7.0)->signed()->ruled()->in($metric));
        self::assertSame('3 min', Magnitude::minutesLeft(121.0)->in($metric));
    }

    public function test_an_amount_is_told_in_the_readers_units(): void
    {
        $said = Sentence::of(Reason::PullDownFirst, above: Magnitude::difference(5.0));
        $fahrenheit = new Units(Unit::Fahrenheit, Unit::Psi, Unit::Pound);

        self::assertSame('5.0 K above; wait for pull-down', $said->in(new Units()));
        self::assertSame('9.0 °F diff. above; wait for pull-down', $said->in($fahrenheit));
        $held = Sentence::of(Reason::HeadLost, at: Magnitude::temperature(273.15 + 20.4)->whole());
        self::assertSame('condensing only 20 °C; too little pressure for the valve', $held->in(new Units()));
        self::assertSame('condensing only 69 °F; too little pressure for the valve', $held->in($fahrenheit));
        $added = Sentence::of(Reason::MuchAdded, mass: Magnitude::mass(2.5));
        self::assertStringStartsWith('5.51 lb already added', $added->in($fahrenheit));
        self::assertStringStartsWith('2.50 kg already added', $added->in(new Units()));
    }

    public function test_sentences_stand_in_sentences_and_lists(): void
    {
        $signs = [Sentence::of(Reason::GlassBubbles), Sentence::of(Reason::SignLevel)];
        $said = Sentence::of(
            Reason::Labelled,
            label: Sentence::of(Reason::TwoSigns),
            detail: Sentence::of(Reason::Listed, all: Several::beside($signs)),
        );

        self::assertSame(
            'two signs of low charge: bubbles in the sight glass, the receiver level',
            $said->in(new Units()),
        );
        self::assertSame('bubbles in the sight glass; the receiver level', Several::apart($signs)->in(new Units()));
    }

    public function test_what_a_person_wrote_is_told_as_it_is_whatever_it_holds(): void
    {
        $said = Sentence::of(Reason::AddedBeforeSearch, because: 'the {mass} of 3 K is 5 kg');

        $told = $said->in(new Units(mass: Unit::Pound));
        self::assertSame('added before the search (the {mass} of 3 K is 5 kg)', $told);
    }

    public function test_a_sentence_that_lacks_something_is_a_fault_where_it_is_made(): void
    {
        $this->expectException(\LogicException::class);
        $this->expectExceptionMessage('head_lost wants at; given were');
        Sentence::of(Reason::HeadLost);
    }
}
