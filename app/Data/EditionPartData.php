<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\Side;

/** What an edition says of one instrument. */
final readonly class EditionPartData
{
    /**
     * @param string|null            $fullFor   the tier that reads all of it, if this reader does not
     * @param list<Side>             $sides     of what is only told by its headline
     * @param string                 $verdict   of what is no trade, with its reason
     * @param list<EditionLevelData> $levels
     * @param list<EditionSetupData> $setups    its variants in order
     * @param CarriedData|null       $carried   what it takes up of an earlier edition
     * @param bool                   $eitherOr  of them, the first that is filled ends the others
     * @param float                  $units     new units for one as published: prices are drawn divided by it
     * @param string|null            $splitNote what splits have made of the prices
     */
    public function __construct(
        public string $symbol,
        public string $name,
        public string $kind,
        public string $theme,
        public string $currency,
        public bool $passed,
        public ?string $fullFor,
        public array $sides,
        public string $verdict,
        public string $lastClose,
        public array $levels,
        public ?ThesisData $thesis,
        public array $setups,
        public bool $eitherOr,
        public ?CarriedData $carried,
        public ?ChartData $chart,
        public float $units,
        public ?string $splitNote,
    ) {
    }
}
