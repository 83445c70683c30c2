<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** The way in for someone who was invited. */
final class Invitation extends Notification implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly string $token)
    {
        $this->afterCommit();
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(User $user): MailMessage
    {
        return (new MailMessage())
            ->subject('Your invitation to Watchpost')
            ->greeting("Good day, {$user->name}.")
            ->line('You are invited to read the plans published here, before their sessions, and what came of them.')
            ->action('Set your password', url("/invitations/{$this->token}?email=".urlencode($user->email)))
            ->line('The way in is open for seven days. If you did not expect it, there is nothing to do.');
    }
}
