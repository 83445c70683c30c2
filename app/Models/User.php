<?php

declare(strict_types=1);

namespace App\Models;

use App\Delivery\PasswordForgotten;
use App\Enums\Role;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use Illuminate\Support\Carbon;

/**
 * @property int       $id
 * @property string    $name
 * @property string    $email
 * @property Role      $role
 * @property string|null $tier  key of what they have subscribed to
 * @property int|null  $works_for_id
 * @property string|null $feed_token  of their private addresses
 * @property bool        $mails_editions
 * @property bool        $mails_updates
 * @property bool        $mails_alerts   of setups they follow, or have published
 * @property string|null $webhook_url
 * @property string|null $webhook_secret  by which they can tell that a call is ours
 * @property Carbon|null $invited_at
 * @property Carbon|null $joined_at   null until an invitation is taken up
 * @property int|null    $chosen_plan_id of several drafts the one in hand
 * @property int|null    $seen_until  up to when they have seen what changed
 * @property User|null $worksFor
 */
class User extends Authenticatable
{
    use Notifiable;

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'feed_token', 'webhook_secret'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'mails_editions' => 'boolean', 'mails_updates' => 'boolean', 'mails_alerts' => 'boolean', 'invited_at' => 'datetime', 'joined_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function worksFor(): BelongsTo
    {
        return $this->belongsTo(self::class, 'works_for_id');
    }

    /** Whose plans this person works on: an author's own, an assistant's author's; null for readers. */
    public function author(): ?self
    {
        return match ($this->role) {
            Role::Author => $this,
            Role::Assistant => $this->worksFor,
            Role::Subscriber => null,
        };
    }

    /** Asked for by the password broker. */
    public function sendPasswordResetNotification($token): void
    {
        $this->notify(new PasswordForgotten($token));
    }
}
