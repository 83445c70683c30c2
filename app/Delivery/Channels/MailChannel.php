<?php

declare(strict_types=1);

namespace App\Delivery\Channels;

use App\Delivery\Channel;
use App\Delivery\Message;
use App\Delivery\ReaderMail;
use App\Models\Delivery;
use Illuminate\Contracts\Mail\Mailer;

/** Through the mail server. */
final readonly class MailChannel implements Channel
{
    public function __construct(private Mailer $mailer)
    {
    }

    public function send(Delivery $delivery, Message $message): void
    {
        $this->mailer->to($delivery->user)->send(new ReaderMail($message, $delivery));
    }
}
