<?php

declare(strict_types=1);

namespace Rheacid\Mail;

use Illuminate\Bus\Queueable;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;

/** Tells by letter of a deadline that is at risk or near. */
final class DeadlineLetter extends Mailable
{
    use Queueable;

    /** @param string $words what is due, and what is expected */
    public function __construct(
        public string $code,
        public string $product,
        public string $vessel,
        public string $words,
        public string $page,
    ) {}

    public function envelope(): Envelope
    {
        return new Envelope(subject: "$this->code: $this->words");
    }

    public function content(): Content
    {
        return new Content(text: 'letters.deadline');
    }
}
