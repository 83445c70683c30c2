<?php

declare(strict_types=1);

namespace App\Data;

/** Feeds, clock, exchanges and imports. */
final readonly class DataPageData
{
    /**
     * @param list<string>       $waiting   files in the watched folder
     * @param list<ExchangeData> $exchanges
     * @param list<ImportData>   $imports   the latest first
     */
    public function __construct(public string $feed, public string $clock, public string $folder, public array $waiting, public array $exchanges, public array $imports)
    {
    }
}
