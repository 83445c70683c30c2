<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/** The setup of a candidate while it is planned. */
final readonly class SetupData
{
    /**
     * @param list<TargetData> $targets
     * @param list<string>     $missing
     * @param list<string>     $warnings
     */
    public function __construct(
        public bool $begun,
        public Side $side,
        public TriggerKind $trigger,
        public ?string $entry,
        public string $within,
        public bool $noChase,
        public ?string $stop,
        public ?string $cancel,
        public array $targets,
        public int $goodFor,
        public string $goodUntil,
        public array $missing,
        public array $warnings,
        public ?string $sentence,
        public ?string $risk,
        public ?string $riskPercent,
        public ?RScaleData $scale,
        public ?StripData $strip,
    ) {
    }
}
