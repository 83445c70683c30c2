<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/**
 * A setup while it is planned.
 *
 * @property int                                      $id
 * @property int                                      $candidate_id
 * @property Side                                     $side
 * @property TriggerKind                              $trigger
 * @property int|null                                 $entry
 * @property int                                      $within
 * @property bool                                     $no_chase
 * @property int|null                                 $stop
 * @property int|null                                 $cancel
 * @property list<array{price: int, share: string}> $targets
 * @property int                                      $good_for
 * @property Candidate                                $candidate
 */
class Setup extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['side' => Side::class, 'trigger' => TriggerKind::class, 'no_chase' => 'boolean', 'targets' => 'array'];
    }

    /** @return BelongsTo<Candidate, $this> */
    public function candidate(): BelongsTo
    {
        return $this->belongsTo(Candidate::class);
    }

    public function draft(): Draft
    {
        return new Draft(
            $this->side,
            $this->trigger,
            $this->entry,
            $this->within,
            $this->no_chase,
            $this->stop,
            $this->cancel,
            array_map(static fn (array $target): DraftTarget => new DraftTarget($target['price'], $target['share']), $this->targets),
            $this->good_for,
        );
    }
}
