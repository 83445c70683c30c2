<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\RequestState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A symbol that readers ask for.
 *
 * @property int          $id
 * @property int          $instrument_id
 * @property RequestState $state
 * @property string       $reason     why it was declined
 * @property int|null     $edition_id that answered it
 * @property Instrument   $instrument
 * @property Edition|null $edition
 * @property Collection<int, Asker> $askers the first first
 */
class SymbolRequest extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => RequestState::class];
    }

    /**
     * Those that wait for an answer.
     *
     * @return Builder<self>
     */
    public static function waiting(): Builder
    {
        return self::query()->whereIn('state', array_filter(RequestState::cases(), static fn (RequestState $state): bool => $state->isWaiting()));
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    /** @return BelongsTo<Edition, $this> */
    public function edition(): BelongsTo
    {
        return $this->belongsTo(Edition::class);
    }

    /** @return HasMany<Asker, $this> */
    public function askers(): HasMany
    {
        return $this->hasMany(Asker::class)->orderBy('asked_at')->orderBy('id');
    }
}
