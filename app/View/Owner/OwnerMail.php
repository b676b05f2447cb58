<?php

namespace App\View\Owner;

use App\Models\Visit;
use App\Models\Workshop;
use App\Records\Owner\OwnerLink;
use App\View\Dates;
use App\View\ReportPdf;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Attachment;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** The report of a visit to its owner, with the link by which they choose. */
final class OwnerMail extends Mailable
{
    public function __construct(
        private readonly Visit $visit,
        private readonly OwnerLink $link,
        private readonly ReportPdf $pdf,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->visit->circuit->site->name.': '.$this->visit->circuit->name);
    }

    public function content(): Content
    {
        return new Content(text: 'owner.mail', with: [
            'visit' => $this->visit,
            'workshop' => Workshop::current(),
            'address' => $this->link->page(),
            'ends' => Dates::day($this->link->ends(), 'dMMMMy'),
        ]);
    }

    /** @return list<Attachment> */
    public function attachments(): array
    {
        return [
            Attachment::fromData(fn (): string => $this->pdf->bytes, $this->pdf->name)->withMime('application/pdf'),
        ];
    }
}
