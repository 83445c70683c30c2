<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Levels\LevelTerms;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Market\TimeFrame;

/**
 * @property int                       $id
 * @property int                       $author_id
 * @property int                       $instrument_id
 * @property LevelForm                 $form
 * @property int                       $price           in units; of a zone its middle, of what moves where it stood
 * @property int|null                  $low             edges of a zone, in units
 * @property int|null                  $high
 * @property array<string, mixed>|null $terms           see LevelTerms
 * @property string                    $origin
 * @property LevelGrade                $grade
 * @property TimeFrame                 $time_frame      on which it was seen
 * @property string                    $note
 * @property string                    $marked_on       the last session with a bar when it was marked
 * @property int                       $marked_at
 * @property int|null                  $retired_at
 * @property string                    $retired_because
 * @property bool                      $kept            restored by the author
 * @property Instrument                $instrument
 */
class Level extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['form' => 'price', 'time_frame' => '1d', 'note' => '', 'marked_on' => '', 'marked_at' => 0, 'retired_because' => '', 'kept' => false];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['grade' => LevelGrade::class, 'form' => LevelForm::class, 'time_frame' => TimeFrame::class, 'terms' => 'array', 'kept' => 'boolean'];
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    /**
     * Those in use.
     *
     * @param Builder<Level> $query
     *
     * @return Builder<Level>
     */
    public function scopeAlive(Builder $query): Builder
    {
        return $query->whereNull('retired_at');
    }

    public function isRetired(): bool
    {
        return $this->retired_at !== null;
    }

    public function terms(): LevelTerms
    {
        return LevelTerms::fromArray($this->terms ?? []);
    }

    /** Its edges as they were marked. */
    public function lowEdge(): int
    {
        return $this->low ?? $this->price;
    }

    public function highEdge(): int
    {
        return $this->high ?? $this->price;
    }

    /**
     * All its prices by a rule, that of a split say.
     *
     * @param callable(int): int $price
     *
     * @return array<string, mixed>
     */
    public function pricesBy(callable $price): array
    {
        return [
            'price' => $price($this->price),
            'low' => $this->low === null ? null : $price($this->low),
            'high' => $this->high === null ? null : $price($this->high),
            'terms' => $this->terms === null ? null : $this->terms()->pricesBy($price)->toArray(),
        ];
    }
}
