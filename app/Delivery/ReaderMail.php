<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\Delivery;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Mail\Mailables\Headers;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\HtmlString;

/** An edition or an update as a mail, with a way to be sent no more that needs no sign-in (RFC 8058). */
final class ReaderMail extends Mailable
{
    public function __construct(private readonly Message $message, private readonly Delivery $delivery)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->message->title);
    }

    public function content(): Content
    {
        return new Content(
            view: 'mail.message',
            text: 'mail.message-text',
            with: [
                'html' => new HtmlString($this->message->html),
                'words' => new HtmlString($this->message->markdown),
                'address' => url($this->message->path),
                'unsubscribe' => $this->unsubscribe(),
            ],
        );
    }

    public function headers(): Headers
    {
        return new Headers(
            messageId: "{$this->delivery->name()}@watchpost.test",
            text: [
                'X-Watchpost-Delivery' => $this->delivery->name(),
                'List-Unsubscribe' => "<{$this->unsubscribe()}>",
                'List-Unsubscribe-Post' => 'List-Unsubscribe=One-Click',
            ],
        );
    }

    private function unsubscribe(): string
    {
        return URL::signedRoute('unsubscribe', ['user' => $this->delivery->user_id]);
    }
}
