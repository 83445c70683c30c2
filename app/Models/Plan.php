<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property int          $id
 * @property int          $author_id
 * @property string       $session_date
 * @property string       $bias
 * @property int          $change_position number of changes in force; those beyond can be redone
 * @property int|null     $published_at
 * @property User         $author
 * @property Edition|null $edition
 */
class Plan extends Model
{
    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class, 'author_id');
    }

    /** @return HasMany<Candidate, $this> */
    public function candidates(): HasMany
    {
        return $this->hasMany(Candidate::class)->orderBy('position');
    }

    /** @return HasMany<PlanChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(PlanChange::class)->orderBy('position');
    }

    /** @return HasOne<Edition, $this> */
    public function edition(): HasOne
    {
        return $this->hasOne(Edition::class);
    }

    /**
     * The levels of the plan's author on an instrument.
     *
     * @return Builder<Level>
     */
    public function levelsOn(int $instrumentId): Builder
    {
        return Level::query()->where(['author_id' => $this->author_id, 'instrument_id' => $instrumentId]);
    }

    public function isDraft(): bool
    {
        return $this->published_at === null;
    }
}
