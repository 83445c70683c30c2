<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\Role;
use App\Enums\Tier;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int       $id
 * @property string    $name
 * @property string    $email
 * @property Role      $role
 * @property Tier|null $tier
 * @property int|null  $works_for_id
 * @property string|null $feed_token  of their private addresses
 * @property User|null $worksFor
 */
class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token', 'feed_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class, 'tier' => Tier::class];
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

    /** The tier whose parts this person may read; those who make the plan read everything. */
    public function readingTier(): Tier
    {
        return $this->role === Role::Subscriber ? $this->tier ?? Tier::Harbour : Tier::Pilot;
    }
}
