<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\PlanKind;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A published plan. The document is the edition; it can be added once and never changed or removed.
 *
 * @property int         $id
 * @property int         $number
 * @property int         $plan_id
 * @property int         $author_id
 * @property string      $session_date
 * @property PlanKind    $kind
 * @property int         $published_at
 * @property string|null $previous_seal
 * @property string      $seal
 * @property string      $document      canonical JSON
 * @property User        $author
 */
class Edition extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected static function booted(): void
    {
        static::updating(static fn () => throw new \LogicException('An edition is sealed: it cannot be changed.'));
        static::deleting(static fn () => throw new \LogicException('An edition is sealed: it cannot be removed.'));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => PlanKind::class];
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /** @return HasMany<PublishedSetup, $this> */
    public function publishedSetups(): HasMany
    {
        return $this->hasMany(PublishedSetup::class)->orderBy('id');
    }
}
