<?php

namespace Tests\Feature;

use App\Models\Attachment;
use App\Models\Visit;
use App\Records\Attachments\AttachmentFiles;
use App\Records\Attachments\AttachmentIntake;
use App\Records\Attachments\CleanPhoto;
use App\Records\Attachments\CleanSound;
use App\Records\Attachments\NotKept;
use App\Records\Attachments\PhotoMark;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Media;
use Tests\TestCase;

/** Photos and voice notes: announced, sent in pieces, kept once, clean, and seen by who may see their visit. */
final class AttachmentTest extends TestCase
{
    private Visit $visit;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        $this->visit = $this->visit();
        $this->actingAs($this->technician);
    }

    public function test_a_photo_is_sent_in_pieces_and_stands_in_the_visit(): void
    {
        $photo = Media::photo(1600, 1200);
        $this->announced($photo)->assertOk()->assertJson(['come' => 0, 'ready' => false]);
        $id = $this->id;
        $half = intdiv(strlen($photo), 2);
        $this->piece($id, 0, substr($photo, 0, $half))->assertJson(['come' => $half, 'ready' => false]);
        $this->piece($id, $half, substr($photo, $half))->assertJson(['ready' => true]);
        $kept = Attachment::shown()->sole();
        self::assertSame([1600, 1200, 'image/jpeg'], [$kept->width, $kept->height, $kept->mime]);
        self::assertSame('Head pressure', $kept->of);
        $this->get("/visits/{$this->visit->id}/gauges")->assertSee("/attachments/$id/small")->assertSee('lint on it');
        $file = $this->get("/attachments/$id/file")->assertOk();
        self::assertSame($kept->hash, hash('sha256', (string) $file->getContent()));
        $small = (string) $this->get("/attachments/$id/small")->assertOk()->getContent();
        self::assertSame([360, 270], array_slice((array) getimagesizefromstring($small), 0, 2));
        self::assertSame([], Storage::disk('local')->allFiles('attachments/coming'));
    }

    public function test_the_way_breaks_off_and_it_goes_on_from_there_and_is_kept_once(): void
    {
        $photo = Media::photo();
        $this->announced($photo);
        $this->piece($this->id, 0, substr($photo, 0, 1000))->assertJson(['come' => 1000]);
        // The answer was lost: the device asks anew, and sends the same piece again.
        $this->announced($photo, $this->id)->assertJson(['come' => 1000, 'ready' => false]);
        $this->piece($this->id, 0, substr($photo, 0, 1000))->assertJson(['come' => 1000]);
        $this->piece($this->id, 4000, 'from elsewhere')->assertJson(['come' => 1000]);
        $this->piece($this->id, 1000, substr($photo, 1000))->assertJson(['ready' => true]);
        $this->piece($this->id, 1000, substr($photo, 1000))->assertJson(['ready' => true]);
        $this->announced($photo, $this->id)->assertJson(['ready' => true]);
        self::assertSame(1, Attachment::query()->count());
    }

    public function test_what_arrives_changed_is_sent_again(): void
    {
        $photo = Media::photo();
        $this->announced($photo);
        $torn = substr_replace($photo, 'x', 900, 1);
        $this->piece($this->id, 0, $torn)->assertStatus(422)->assertJsonPath(
            'message',
            'It arrived changed or incomplete. Send it again.',
        );
        $this->announced($photo, $this->id)->assertJson(['come' => 0]);
        $this->piece($this->id, 0, $photo)->assertJson(['ready' => true]);
    }

    public function test_what_is_too_large_or_of_no_kind_is_refused_before_it_is_sent(): void
    {
        $told = ['bytes' => 13 * 1024 ** 2] + $this->told('x');
        $this->post("/visits/{$this->visit->id}/attachments", $told, self::OUTBOX)
            ->assertStatus(422)->assertSee('the limit is 12 MB');
        $film = ['kind' => 'film'] + $this->told('x');
        $this->post("/visits/{$this->visit->id}/attachments", $film, self::OUTBOX)->assertStatus(422);
        $this->announced(Media::photo());
        $this->piece($this->id, 0, str_repeat('x', AttachmentIntake::PIECE + 1))->assertStatus(413);
    }

    public function test_a_number_that_another_photo_has_is_refused(): void
    {
        $this->announced(Media::photo());
        $this->announced(Media::photo(500, 200), $this->id)->assertStatus(422)->assertSee('Another photo');
    }

    public function test_nothing_that_a_camera_wrote_besides_is_kept_and_it_stands_upright(): void
    {
        $told = Media::asOfCamera(6);
        self::assertStringContainsString('Hollow Camera', $told);
        $exif = exif_read_data('data:image/jpeg;base64,'.base64_encode($told));
        self::assertIsArray($exif);
        self::assertSame('N', $exif['GPSLatitudeRef'] ?? null);
        $clean = CleanPhoto::of($told);
        foreach ([$clean->bytes, $clean->small] as $bytes) {
            self::assertStringNotContainsString('Hollow Camera', $bytes);
            self::assertStringNotContainsString('Exif', $bytes);
        }
        self::assertSame([300, 400], [$clean->width, $clean->height]);
        $image = imagecreatefromstring($clean->bytes);
        assert($image !== false);
        $bright = static fn (int $y): int => (imagecolorat($image, 150, $y) >> 16) & 0xFF;
        self::assertLessThan(90, $bright(40), 'what was left is above');
        self::assertGreaterThan(180, $bright(360));
    }

    public function test_a_large_photo_is_made_small(): void
    {
        $clean = CleanPhoto::of(Media::photo(4000, 3000));
        self::assertSame([2000, 1500], [$clean->width, $clean->height]);
        $this->expectException(NotKept::class);
        $this->expectExceptionMessage('5000 × 3000 pixels; the limit is 13 megapixels');
        CleanPhoto::of(Media::photo(5000, 3000));
    }

    public function test_three_hundred_broken_images_are_refused_in_words(): void
    {
        $drawing = '<svg xmlns="http://www.w3.org/2000/svg"/>';
        $others = [$drawing, '<?php echo 1;', "GIF89a\0\0", '%PDF-1.4', "\xFF\xD8\xFF"];
        foreach (Media::broken(Media::photo(), $others, 300) as $number => $bytes) {
            try {
                CleanPhoto::of($bytes);
                self::fail("broken image $number was kept");
            } catch (NotKept $reason) {
                self::assertMatchesRegularExpression('/^The photo .*\.$|^This is no photo/', $reason->getMessage());
            }
        }
    }

    public function test_a_hundred_broken_sounds_are_refused_in_words(): void
    {
        $others = ['OggS'.str_repeat('a', 90), "\x1A\x45\xDF\xA3".str_repeat('b', 300), 'xxxxftypisom', 'ID3', 'fLaC'];
        foreach (Media::broken(Media::sound(), $others, 100) as $number => $bytes) {
            try {
                CleanSound::of($bytes);
                self::fail("broken sound $number was kept");
            } catch (NotKept $reason) {
                $said = $reason->getMessage();
                self::assertMatchesRegularExpression('/^The voice note .*\.$|^This is no voice/', $said);
            }
        }
    }

    public function test_a_voice_note_is_played_and_a_long_one_is_refused(): void
    {
        $sound = Media::sound();
        $this->announced($sound, kind: 'voice');
        $this->piece($this->id, 0, $sound)->assertJson(['ready' => true]);
        $this->get("/attachments/{$this->id}/file")->assertOk()->assertHeader('Content-Type', 'audio/wav');
        $this->get("/attachments/{$this->id}/small")->assertNotFound();
        $this->get("/visits/{$this->visit->id}/gauges")->assertSee('<audio', false);
        $this->expectExceptionMessage('The voice note lasts 70 s; the limit is 60 s.');
        CleanSound::of(Media::sound(70.0));
    }

    public function test_a_broken_photo_leaves_nothing_behind(): void
    {
        $this->announced('not a photo at all');
        $this->piece($this->id, 0, 'not a photo at all')->assertStatus(422)->assertSee('JPEG, PNG or WebP');
        self::assertSame(0, Attachment::query()->count());
        self::assertSame([], Storage::disk('local')->allFiles());
    }

    public function test_a_closed_visit_takes_none_until_it_is_opened_again(): void
    {
        $this->visit->update(['closed_at' => now()]);
        $photo = Media::photo();
        $this->announced($photo)->assertForbidden()->assertSee('was closed');
        $this->visit->update(['closed_at' => null]);
        $this->announced($photo, $this->id)->assertOk();
    }

    public function test_marks_caption_and_pair_are_kept_and_nonsense_is_refused(): void
    {
        [$before, $after] = [$this->kept(), $this->kept()];
        $mark = ['shape' => 'circle', 'x' => 0.5, 'y' => 0.25, 'to_x' => 0.6, 'to_y' => 0.25, 'word' => ''];
        $this->put("/attachments/$after", ['marks' => json_encode([$mark])])->assertRedirect();
        $this->put("/attachments/$after", ['caption' => 'washed', 'after' => $before])->assertRedirect();
        $kept = Attachment::query()->findOrFail($after);
        self::assertSame([$mark], $kept->marks);
        $this->get("/attachments/$after")->assertSee('Before: lint on it')->assertSee('washed');
        foreach (['[{"shape":"star","x":0,"y":0}]', '[{"shape":"circle","x":7,"y":0}]', 'torn', '{}'] as $nonsense) {
            $this->put("/attachments/$after", ['marks' => $nonsense])->assertSessionHasErrors('marks');
        }
        $this->put("/attachments/$after", ['after' => $after])->assertSessionHasErrors('after');
        $this->put("/attachments/$after", ['after' => 'nowhere'])->assertSessionHasErrors('after');
        self::assertSame([$mark], $kept->refresh()->marks);
        $this->actingAs($this->colleague())->put("/attachments/$after", ['caption' => 'mine'])->assertForbidden();
    }

    public function test_a_lead_alone_deletes_one_with_a_reason_and_its_bytes_are_gone(): void
    {
        $id = $this->kept();
        $this->delete("/attachments/$id", ['why' => 'a face is on it'])->assertForbidden();
        $this->actingAs($this->colleague('lead'));
        $this->delete("/attachments/$id")->assertSessionHasErrors('why');
        $this->delete("/attachments/$id", ['why' => 'a face is on it'])->assertRedirect();
        $gone = Attachment::query()->findOrFail($id);
        self::assertSame('a face is on it', $gone->removed_why);
        self::assertNull((new AttachmentFiles())->read($gone));
        foreach (['', '/file', '/small'] as $way) {
            $this->get("/attachments/$id$way")->assertNotFound();
        }
        $this->get("/visits/{$this->visit->id}/gauges")->assertDontSee("/attachments/$id");
    }

    public function test_nobody_who_is_not_signed_in_sees_one(): void
    {
        $id = $this->kept();
        Auth::logout();
        foreach (['', '/file', '/small'] as $way) {
            $this->get("/attachments/$id$way")->assertRedirect('/sign-in');
        }
    }

    private string $id = '';

    /** @return array<string, int|string> */
    private function told(string $bytes, string $kind = 'photo'): array
    {
        return [
            'id' => strtoupper($this->id),
            'kind' => $kind,
            'about' => 'reading discharge_pressure_kpa',
            'of' => 'Head pressure',
            'caption' => 'lint on it',
            'bytes' => strlen($bytes),
            'hash' => hash('sha256', $bytes),
        ];
    }

    /** @return TestResponse<Response> */
    private function announced(string $bytes, ?string $id = null, string $kind = 'photo'): TestResponse
    {
        $this->id = $id ?? strtolower((string) Str::ulid());

        return $this->post("/visits/{$this->visit->id}/attachments", $this->told($bytes, $kind), self::OUTBOX);
    }

    /** @return TestResponse<Response> */
    private function piece(string $id, int $from, string $bytes): TestResponse
    {
        return $this->call('POST', "/attachments/$id/piece", content: $bytes, server: [
            'CONTENT_TYPE' => 'application/octet-stream',
            'HTTP_X_FROM' => (string) $from,
            'HTTP_ACCEPT' => 'application/json',
        ]);
    }

    private function kept(): string
    {
        $photo = Media::photo();
        $this->announced($photo)->assertOk();
        $this->piece($this->id, 0, $photo)->assertJson(['ready' => true]);

        return $this->id;
    }

    public function test_a_word_in_the_right_half_of_a_photo_ends_at_its_place_so_that_it_stays_on_it(): void
    {
        $told = ['shape' => 'word', 'y' => 0.5, 'word' => 'a'];
        $word = static fn (float $x): ?PhotoMark => PhotoMark::from(['x' => $x] + $told);
        self::assertFalse($word(0.4)?->endsAtItsPlace());
        self::assertTrue($word(0.9)?->endsAtItsPlace());
        self::assertNull(PhotoMark::from(['shape' => 'square', 'x' => 0.5, 'y' => 0.5]), 'no such shape');
    }
}
