<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Enums\RequestState;
use App\Models\SymbolRequest;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** Tells someone who asked for a symbol what came of it. It does not say what the edition says: that is for their tier. */
final class RequestAnswered extends Notification implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly SymbolRequest $request)
    {
        $this->afterCommit();
    }

    /** @return list<string> */
    public function via(User $user): array
    {
        return $user->mails_updates ? ['mail'] : [];
    }

    public function toMail(User $user): MailMessage
    {
        $symbol = $this->request->instrument->symbol;
        $mail = (new MailMessage())->greeting("Good day, {$user->name}.");

        return $this->request->state === RequestState::Declined || $this->request->edition === null
            ? $mail->subject("{$symbol}: not this time")->line("You asked for {$symbol}. The author declines: {$this->request->reason}")
            : $mail->subject("{$symbol}: your request is answered")->line("You asked for {$symbol}. Edition {$this->request->edition->number} is out and covers it.")->action('Read the edition', url("/editions/{$this->request->edition->number}"));
    }
}
