<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** A dated event: of one instrument, or of the whole market. */
final readonly class MarketEvent
{
    /**
     * @param string           $date   of the session it belongs to
     * @param SessionSide|null $side   null when nothing is known of the time
     * @param string|null      $time   local time of the home exchange, "13:00"
     * @param string|null      $symbol null for the whole market
     * @param string           $source who says so
     */
    public function __construct(
        public string $date,
        public MarketEventKind $kind,
        public string $title,
        public string $source,
        public ?SessionSide $side = null,
        public ?string $time = null,
        public ?string $symbol = null,
    ) {
    }
}
