<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * An index entry to one setup in a sealed edition.
 *
 * @property int          $id
 * @property int          $edition_id
 * @property int          $instrument_id
 * @property string       $key           its name within the edition
 * @property string|null  $group         of those of which the first fill ends the others
 * @property string       $kind          the author's own name for it; empty without one
 * @property string       $readers       key of the lowest tier that it is meant for
 * @property int|null     $armed_at      from when on what happens to it is told
 * @property Edition      $edition
 * @property Instrument   $instrument
 * @property Outcome|null $outcome as published
 * @property Outcome|null $managed as managed, once there is an update
 * @property Collection<int, Update> $updates in order
 * @property Review|null  $review
 */
class PublishedSetup extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    /**
     * Itself, or all that are judged together with it, in the order in which they were published.
     *
     * @return Collection<int, self>
     */
    public function together(): Collection
    {
        /** @var Collection<int, self> $alone */
        $alone = new Collection([$this]);

        return $this->group === null
            ? $alone
            : self::query()->with(['edition', 'instrument', 'outcome', 'managed'])->where(['edition_id' => $this->edition_id, 'group' => $this->group])->orderBy('id')->get();
    }

    /**
     * Itself and the other ways in which its candidate was planned, in order.
     *
     * @return Collection<int, self>
     */
    public function ofSameIdea(): Collection
    {
        return self::query()->with(['edition', 'instrument', 'outcome', 'managed'])->where(['edition_id' => $this->edition_id, 'instrument_id' => $this->instrument_id])->orderBy('id')->get();
    }

    /** Whether it is the only one of its candidate, or the first of its variants: "3" or "3a". */
    public function isFirstVariant(): bool
    {
        return preg_match('/[b-z]$/D', $this->key) !== 1;
    }

    /** The number of its candidate within the edition: 3 of "3b". */
    public function number(): int
    {
        return (int) $this->key;
    }

    /** @return HasOne<Outcome, $this> */
    public function outcome(): HasOne
    {
        return $this->hasOne(Outcome::class)->where('is_managed', false);
    }

    /** @return HasOne<Outcome, $this> */
    public function managed(): HasOne
    {
        return $this->hasOne(Outcome::class)->where('is_managed', true);
    }

    /** @return HasMany<Update, $this> */
    public function updates(): HasMany
    {
        return $this->hasMany(Update::class)->orderBy('at')->orderBy('id');
    }

    /** @return HasOne<Review, $this> */
    public function review(): HasOne
    {
        return $this->hasOne(Review::class);
    }

    /**
     * Those of which something is still to come, as published or as managed.
     *
     * @return Builder<self>
     */
    public static function alive(): Builder
    {
        return self::query()->whereIn('id', Outcome::query()->where('is_over', false)->select('published_setup_id'));
    }
}
