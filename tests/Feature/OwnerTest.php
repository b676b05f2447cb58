<?php

namespace Tests\Feature;

use App\Models\DecisionWord;
use App\Models\OwnerChoice;
use App\Models\OwnerDecision;
use App\Models\PriceLines;
use App\Models\Visit;
use App\Models\Workshop;
use App\Records\Owner\OwnerLink;
use App\View\Owner\OwnerMail;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Mail;
use Tests\Media;
use Tests\TestCase;

/** What an owner gets to see and to choose: by a signed link that ends, with amounts by the workshop's own prices. */
final class OwnerTest extends TestCase
{
    private Visit $visit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->visit = $this->starved();
        $this->actingAs($this->colleague('lead'))->put('/settings/workshop', [
            'name' => 'Quay Refrigeration',
            'address' => 'Quay 9, Tarnevik',
            'contact' => 'office@quay.example',
            'currency' => 'EUR',
            'tax_percent' => '25',
            'labour' => '80',
            'call_out' => '95.5',
            'prices' => "R-448A; kg; 62\nFan motor; 1; pc; 140",
        ])->assertSessionHasNoErrors();
        $this->actingAs($this->technician);
    }

    public function test_the_desk_proposes_choices_with_amounts_by_the_price_list(): void
    {
        $this->post("/visits/{$this->visit->id}/choices/propose")->assertRedirect();
        $choices = OwnerChoice::query()->orderBy('place')->get();
        self::assertSame('Repair now', $choices[0]->title);
        self::assertSame('Nothing now', $choices->last()?->title);
        self::assertNotSame('', $choices->last()->risk);
        $lines = $choices[0]->amounts()->lines;
        self::assertSame(['Call-out', 'Labour', 'R-448A'], array_column($lines, 'what'));
        self::assertSame([9550, 8000, 6200], array_column($lines, 'price'));
        $this->post("/visits/{$this->visit->id}/choices/propose");
        self::assertCount(count($choices), OwnerChoice::query()->get(), 'asked again it adds nothing');
    }

    public function test_choices_are_proposed_in_the_language_of_the_site(): void
    {
        $this->visit->circuit->site->update(['language' => 'de']);
        $this->post("/visits/{$this->visit->id}/choices/propose")->assertRedirect();
        $first = OwnerChoice::query()->orderBy('place')->first();
        self::assertSame('Jetzt reparieren', $first?->title);
        self::assertStringContainsString('Wir suchen und reparieren das Leck', $first->does);
        self::assertSame(['Anfahrt', 'Arbeitszeit', 'R-448A'], array_column($first->amounts()->lines, 'what'));
    }

    public function test_nothing_is_proposed_where_nothing_is_wrong_or_all_was_done(): void
    {
        $empty = $this->visit();
        $this->post("/visits/{$empty->id}/choices/propose");
        self::assertSame(0, OwnerChoice::query()->where('visit_id', $empty->id)->count());
    }

    public function test_amounts_add_up_with_tax(): void
    {
        $lines = PriceLines::read("Call-out; 95,50\nLabour; 1.5; h; 80\n\nR-448A; 0,4; kg; 62");
        self::assertSame(['Line 1: got “Call-out; 95,50”, expected “what; quantity; unit; price”, for example '.
            '“Labour; 1.5; h; 78”.'], $lines->wrong);
        $whole = PriceLines::read("Call-out; 1; ; 95,50\nLabour; 1.5; h; 80\nR-448A; 0,4; kg; 62");
        self::assertSame([], $whole->wrong);
        self::assertSame(9550 + 12000 + 2480, $whole->net());
        self::assertSame((int) round(24030 * 0.25), $whole->tax(25.0));
        self::assertSame($whole->net() + $whole->tax(25.0), $whole->total(25.0));
        self::assertEquals($whole, PriceLines::read($whole->typed()));
        foreach (['x', 'a; b; c; d; e', 'Labour; -1; h; 80', 'Labour; 1; h; many', '; 1; h; 3'] as $nonsense) {
            self::assertCount(1, PriceLines::read($nonsense)->wrong, $nonsense);
        }
    }

    public function test_an_owner_reads_chooses_and_refuses_without_signing_in(): void
    {
        $choice = $this->choice();
        $link = OwnerLink::to($this->visit);
        Auth::logout();
        $page = $this->get($link->page())->assertOk();
        $page->assertSee('Quay Refrigeration')->assertSee('Repair now')->assertSee('€100.00')->assertSee('€125.00')
            ->assertDontSee('Sign out')->assertDontSee('Stock')->assertDontSee('superheat');
        $this->post($link->decide($choice), ['word' => 'refused', 'who' => 'M. Ek'])->assertRedirect();
        $this->post($link->decide($choice), ['word' => 'refused', 'who' => 'M. Ek']);
        $decision = OwnerDecision::query()->sole();
        self::assertSame([DecisionWord::Refused, 'M. Ek', null], [
            $decision->word,
            $decision->who,
            $decision->user_id,
        ]);
        $this->get($link->page())->assertSee('Refused by M. Ek by link');
        $this->post($link->decide($choice), ['word' => 'accepted', 'who' => 'M. Ek']);
        self::assertSame(2, OwnerDecision::query()->count(), 'what was refused first stays on record');
        $this->post($link->decide($choice), ['word' => 'perhaps', 'who' => ''])
            ->assertSessionHasErrors(['word', 'who']);
        $this->actingAs($this->technician)->get("/visits/{$this->visit->id}/choices")->assertSee('Accepted by M. Ek');
        $this->get("/visits/{$this->visit->id}/report")->assertSee('Accepted by M. Ek');
    }

    public function test_a_link_ends_and_opens_one_visit_alone(): void
    {
        $link = OwnerLink::to($this->visit);
        $other = $this->visit();
        $photo = Media::kept($other);
        Auth::logout();
        foreach ([$link->page(), $link->pdf()] as $address) {
            $this->get($address)->assertOk();
            $this->get(str_replace($this->visit->id, $other->id, $address))->assertForbidden();
            $this->get($address.'x')->assertForbidden()->assertSee('expired or was changed');
        }
        $this->get("/visits/{$this->visit->id}/report")->assertRedirect('/sign-in');
        $this->get("/attachments/{$photo->id}/file")->assertRedirect('/sign-in');
        $this->travel(OwnerLink::DAYS + 2)->days();
        $this->get($link->page())->assertForbidden();
    }

    public function test_photos_of_the_visit_are_seen_by_its_link_and_no_others(): void
    {
        $own = Media::kept($this->visit);
        $elsewhere = \App\Models\Circuit::establish(
            $this->circuit->site,
            'Another',
            ['refrigerant' => 'R-134a', 'kind' => 'walk_in_cooler'],
            [],
        );
        $foreign = Media::kept(Visit::open($elsewhere->load('site', 'plant'), $this->technician, now()));
        $link = OwnerLink::to($this->visit);
        Auth::logout();
        $this->get($link->page())->assertSee('/photos/'.$own->id, false);
        $this->get($link->photo($own))->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $this->get($link->photo($foreign))->assertNotFound();
        $own->update(['removed_at' => now()]);
        $this->get($link->photo($own))->assertNotFound();
    }

    public function test_the_report_goes_by_e_mail_with_its_link_and_pdf(): void
    {
        Mail::fake();
        $this->post("/visits/{$this->visit->id}/choices/send", ['email' => 'no address'])->assertSessionHasErrors();
        Mail::assertNothingSent();
        $this->post("/visits/{$this->visit->id}/choices/send", ['email' => 'owner@kastanje.example'])->assertRedirect();
        Mail::assertSent(OwnerMail::class, function (OwnerMail $mail): bool {
            $text = html_entity_decode($mail->render());
            self::assertStringContainsString("/owner/{$this->visit->id}?expires=", $text);
            self::assertStringContainsString('Quay Refrigeration', $text);
            $attached = $mail->attachments()[0];
            self::assertSame('application/pdf', $attached->mime);

            return $mail->hasTo('owner@kastanje.example');
        });
    }

    public function test_a_decided_choice_is_not_changed_any_more_and_wrong_lines_are_told(): void
    {
        $choice = $this->choice();
        $fields = ['title' => 'Repair now', 'lines' => "Labour; 1; h; 80\nnonsense"];
        $this->put("/choices/{$choice->id}", $fields)->assertSessionHasErrors('lines');
        self::assertStringContainsString('Line 2: got “nonsense”', session('errors')->first('lines'));
        $this->post("/choices/{$choice->id}/decide", ['word' => 'later', 'who' => 'M. Ek'])->assertRedirect();
        self::assertSame($this->technician->id, OwnerDecision::query()->sole()->user_id);
        $this->put("/choices/{$choice->id}", ['title' => 'Cheaper'])->assertStatus(409);
        $this->delete("/choices/{$choice->id}")->assertStatus(409);
        self::assertSame('Repair now', $choice->refresh()->title);
    }

    public function test_prices_are_changed_by_a_lead_alone_and_nonsense_is_refused(): void
    {
        $this->put('/settings/workshop', ['currency' => 'EUR'])->assertForbidden();
        $lead = $this->actingAs(\App\Models\User::query()->where('role', 'lead')->sole());
        $lead->put('/settings/workshop', ['currency' => 'XXX', 'tax_percent' => 'a', 'labour' => '-1'])
            ->assertSessionHasErrors(['currency', 'tax_percent', 'labour', 'call_out']);
        self::assertSame(8000, Workshop::current()->labour);
        self::assertSame(6200, Workshop::current()->price('r-448a'));
        self::assertNull(Workshop::current()->price('R-22'));
    }

    private function choice(): OwnerChoice
    {
        $this->post("/visits/{$this->visit->id}/choices", [
            'title' => 'Repair now',
            'does' => 'We find the leak and repair it.',
            'lasts' => 'years',
            'prepare' => 'empty the box',
            'lines' => 'Labour; 1.25; h; 80',
        ])->assertRedirect();

        return OwnerChoice::query()->sole();
    }
}
