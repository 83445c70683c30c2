<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Outcomes\RunStore;

/**
 * What the engine says of a published setup so far: its state between two bars, and the result as of a moment.
 *
 * @phpstan-import-type RunState from RunStore
 *
 * @property int                  $id
 * @property int                  $published_setup_id
 * @property OutcomeStatus        $status
 * @property bool                 $is_over            later bars change nothing
 * @property int                  $as_of
 * @property RunState             $run
 * @property array<string, mixed> $result
 * @property PublishedSetup       $publishedSetup
 */
class Outcome extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['status' => OutcomeStatus::class, 'is_over' => 'boolean', 'run' => 'array', 'result' => 'array'];
    }

    /** @return BelongsTo<PublishedSetup, $this> */
    public function publishedSetup(): BelongsTo
    {
        return $this->belongsTo(PublishedSetup::class);
    }
}
