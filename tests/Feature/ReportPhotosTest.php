<?php

namespace Tests\Feature;

use App\Models\Visit;
use Metrum\Data\Refused;
use Metrum\Exchange\VisitReader;
use Tests\Media;
use Tests\TestCase;

/** Photos of a visit where it is told: in its report, on paper, and in its file. */
final class ReportPhotosTest extends TestCase
{
    public function test_photos_stand_in_the_report_its_pdf_and_the_file(): void
    {
        $visit = $this->starved();
        $this->actingAs($this->technician);
        $before = Media::kept($visit, 'fins full of lint');
        $after = Media::kept($visit, 'washed', $before);
        Media::kept($visit, 'gasket torn');
        $this->get("/visits/{$visit->id}/report")->assertOk()
            ->assertSeeInOrder(['Photos', 'Before: fins full of lint', 'After: washed', 'gasket torn']);
        $bare = strlen((string) $this->get("/visits/{$this->visit()->id}/report.pdf")->assertOk()->getContent());
        $whole = strlen((string) $this->get("/visits/{$visit->id}/report.pdf")->assertOk()->getContent());
        self::assertGreaterThan($bare + 5000, $whole);
        $file = json_decode((string) $this->get("/visits/{$visit->id}/file.json")->getContent(), true);
        $links = $file['attachments'];
        self::assertCount(3, $links);
        self::assertSame('fins full of lint', $links[0]['caption']);
        $bytes = (string) $this->get((string) parse_url($links[0]['address'], PHP_URL_PATH))->getContent();
        self::assertSame($links[0]['sha256'], hash('sha256', $bytes));
        self::assertSame($after->id, $links[1]['id']);
        $later = $this->visit();
        Media::kept($later, 'gasket new');
        $compared = "/circuits/{$this->circuit->id}/compare?from={$visit->id}&to={$later->id}";
        $this->get($compared)->assertSeeInOrder(['Photos', 'gasket torn', 'gasket new', 'Figures and readings']);
        // What the file names elsewhere does not keep it from being taken in.
        $read = VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
        self::assertCount(3, $read->attachments);
        unset($file['attachments'][0]['sha256']);
        $file['attachments'][1]['colour'] = 'red';
        try {
            VisitReader::visit(json_encode($file, JSON_THROW_ON_ERROR));
            self::fail('it was taken');
        } catch (Refused $refused) {
            $reasons = implode("\n", $refused->reasons);
            self::assertStringContainsString('attachments.0.sha256: missing', $reasons);
            self::assertStringContainsString('attachments.1.colour', $reasons);
        }
    }
}
