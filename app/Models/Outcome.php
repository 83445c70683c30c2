<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Outcomes\RunStore;

/**
 * How far a published setup was followed: its run between two bars, and where it stands as of a moment.
 *
 * @phpstan-import-type RunState from RunStore
 *
 * @property int                  $id
 * @property int                  $published_setup_id
 * @property bool                 $is_managed         with the author's updates applied
 * @property OutcomeStatus        $status
 * @property bool                 $is_over            later bars change nothing
 * @property int                  $as_of
 * @property RunState             $run
 * @property PublishedSetup       $publishedSetup
 */
class Outcome extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['status' => OutcomeStatus::class, 'is_over' => 'boolean', 'is_managed' => 'boolean', 'run' => 'array'];
    }

    /** @return BelongsTo<PublishedSetup, $this> */
    public function publishedSetup(): BelongsTo
    {
        return $this->belongsTo(PublishedSetup::class);
    }
}
