<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\RehearsalScope;
use App\Enums\RunState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Watchpost\Core\Rehearsal\RehearsedCase;
use Watchpost\Core\Rehearsal\Rule;

/**
 * A rehearsal of a setup: its rule as it was when it began, and the cases found so far.
 *
 * @phpstan-import-type RuleState from Rule
 * @phpstan-import-type CaseState from RehearsedCase
 *
 * @property int                                                                                             $id
 * @property int                                                                                             $author_id
 * @property int                                                                                             $plan_id
 * @property int                                                                                             $instrument_id
 * @property RehearsalScope                                                                                  $scope
 * @property int                                                                                             $sessions    evenings of each past
 * @property RuleState                                                                                       $rule
 * @property RunState                                                                                        $state
 * @property int                                                                                             $steps_total instruments
 * @property int                                                                                             $steps_done
 * @property string|null                                                                                     $message
 * @property list<CaseState>                                                                                 $cases
 * @property int                                                                                             $as_of
 * @property Instrument                                                                                      $instrument
 */
class Rehearsal extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['scope' => RehearsalScope::class, 'state' => RunState::class, 'rule' => 'array', 'cases' => 'array'];
    }

    /** @return BelongsTo<Instrument, $this> */
    public function instrument(): BelongsTo
    {
        return $this->belongsTo(Instrument::class);
    }

    public function toRule(): Rule
    {
        return Rule::fromState($this->rule);
    }

    /** @return list<RehearsedCase> */
    public function rehearsedCases(): array
    {
        return array_map(RehearsedCase::fromState(...), $this->cases);
    }
}
