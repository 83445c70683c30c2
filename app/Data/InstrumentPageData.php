<?php

declare(strict_types=1);

namespace App\Data;

final readonly class InstrumentPageData
{
    /**
     * @param list<string>           $labels   special risks
     * @param list<FactData>         $terms    what it is
     * @param list<FactData>         $facts    what is known of it
     * @param list<FactData>         $reports  sales and earnings by quarter, the latest first
     * @param list<MarketEventData>  $events
     * @param list<SessionData>      $sessions
     * @param list<FrameReadingData> $readings
     */
    public function __construct(
        public InstrumentData $instrument,
        public bool $traded,
        public ?string $last,
        public ?string $change,
        public array $labels,
        public array $terms,
        public array $facts,
        public array $reports,
        public array $events,
        public array $sessions,
        public array $readings,
        public ?ExpectedRangeData $expected,
        public ?OddsData $odds,
        public ?int $candidateId,
    ) {
    }
}
