<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\CancelSide;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/** The setup of a candidate while it is planned. */
final readonly class SetupData
{
    /**
     * @param list<LegData>       $legs
     * @param list<TriggerKind>   $offered    the kinds that fit where price stands, the likeliest first
     * @param list<TargetData>    $targets
     * @param list<ConditionData> $conditions
     * @param list<StopMoveData>  $stopMoves
     * @param list<string>        $missing
     * @param list<string>        $warnings
     * @param list<FigureData>    $figures
     * @param list<StopOfferData> $stopOffers
     */
    public function __construct(
        public bool $begun,
        public Side $side,
        public array $legs,
        public array $offered,
        public ?string $stop,
        public ?CloseRuleData $stopCloses,
        public ?string $cancel,
        public CancelSide $cancelSide,
        public ?CloseRuleData $cancelCloses,
        public array $targets,
        public array $conditions,
        public array $stopMoves,
        public ?int $timeStop,
        public ?OpenExitData $openExit,
        public int $goodFor,
        public string $goodUntil,
        public array $missing,
        public array $warnings,
        public array $figures,
        public array $stopOffers,
        public ?int $kind,
        public ?ChecklistData $checklist,
        public ?OptionData $option,
        public ?string $sentence,
        public ?string $risk,
        public ?string $riskPercent,
        public ?RScaleData $scale,
        public ?StripData $strip,
    ) {
    }
}
