<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\PlanKind;
use App\Planning\PlanParts;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @phpstan-import-type PartState from PlanParts
 *
 * @property int          $id
 * @property int          $author_id
 * @property string       $session_date
 * @property string       $bias
 * @property int          $change_position number of changes in force; those beyond can be redone
 * @property int|null     $published_at
 * @property PlanKind     $kind
 * @property string|null  $through_date    the last session of a plan for several
 * @property bool         $is_late         the author says that it comes after its session has opened
 * @property list<PartState> $parts         its texts in order
 * @property int          $revision        counts every change, also what is undone
 * @property User         $author
 * @property Edition|null $edition
 */
class Plan extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => PlanKind::class, 'is_late' => 'boolean', 'parts' => 'array'];
    }

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

    /**
     * What an author works on.
     *
     * @return Builder<self>
     */
    public static function drafts(User $author): Builder
    {
        return self::query()->where('author_id', $author->id)->whereNull('published_at');
    }

    public function isDraft(): bool
    {
        return $this->published_at === null;
    }
}
