<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** The way to a new password. */
final class PasswordForgotten extends Notification implements ShouldQueue
{
    use Queueable;

    public function __construct(private readonly string $token)
    {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(User $user): MailMessage
    {
        return (new MailMessage())
            ->subject('A new password for Watchpost')
            ->greeting("Good day, {$user->name}.")
            ->line('Someone, you we hope, asked for a new password for this address.')
            ->action('Set a new password', url("/password/{$this->token}?email=".urlencode($user->email)))
            ->line('The way is open for one hour. If it was not you, nothing changes.');
    }
}
