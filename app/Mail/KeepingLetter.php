<?php

declare(strict_types=1);

namespace Rheacid\Mail;

use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Tells those who answer for the records how they are kept; a head that lies in somebody's letters cannot be cut away. */
final class KeepingLetter extends Mailable
{
    use Queueable;

    /** @param list<string> $problems the worst first */
    public function __construct(public string $site, public string $head, public array $problems) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->problems === [] ? "$this->site: ledger head" : "$this->site: records need attention");
    }

    public function content(): Content
    {
        return new Content(text: 'letters.keeping');
    }
}
