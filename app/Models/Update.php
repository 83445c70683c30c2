<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Setups\UpdateKind;

/**
 * A public note on, or change to, a published setup, with the moment at which it was made. It can be added once and never
 * changed or removed.
 *
 * @property int            $id
 * @property int            $published_setup_id
 * @property int            $author_id          who made it
 * @property int            $at
 * @property UpdateKind     $kind
 * @property string|null    $price              a decimal
 * @property int|null       $number             of a target, from 1
 * @property string|null    $share              a decimal, of what is open
 * @property string         $text
 * @property string|null    $refused_because    why it had no effect when its first bar came
 * @property PublishedSetup $publishedSetup
 * @property User           $author
 */
class Update extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected static function booted(): void
    {
        static::updating(static fn (self $update) => array_keys($update->getDirty()) === ['refused_because'] ? null : throw new \LogicException('An update is public: it cannot be changed.'));
        static::deleting(static fn () => throw new \LogicException('An update is public: it cannot be removed.'));
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => UpdateKind::class];
    }

    /** @return BelongsTo<PublishedSetup, $this> */
    public function publishedSetup(): BelongsTo
    {
        return $this->belongsTo(PublishedSetup::class);
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /**
     * As the rules read it.
     *
     * @return array<string, string|int>
     */
    public function toRules(): array
    {
        return array_filter([
            'at' => Instant::format($this->at),
            'kind' => $this->kind->value,
            'price' => $this->price,
            'number' => $this->number,
            'share' => $this->share,
            'text' => $this->kind === UpdateKind::Note ? $this->text : null,
        ], static fn (string|int|null $said): bool => $said !== null);
    }
}
