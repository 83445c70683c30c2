<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\ChartData;
use App\Data\EditionData;
use App\Models\Edition;
use App\Reading\Account;
use App\Record\Freshness;
use App\Subscribers\Reader;
use Illuminate\Contracts\Cache\Repository;

/**
 * Editions as they were shown before. What is sealed does not change; what came of it is shown anew once anything of it moved.
 */
final readonly class EditionPages
{
    public function __construct(private EditionPresenter $editions, private Repository $cache, private Freshness $freshness)
    {
    }

    /** Without its charts, which are read apart. */
    public function edition(Edition $edition, Reader $reader, ?Account $account): EditionData
    {
        $sized = $account === null ? '' : "-{$account->value}-{$account->riskPercent}";

        return $this->cache->remember("{$this->key($edition, $reader)}{$sized}", Freshness::KEPT, fn (): EditionData => $this->editions->edition($edition, $reader, $account, withCharts: false));
    }

    /** @return array<string, ChartData> by symbol */
    public function charts(Edition $edition, Reader $reader): array
    {
        return $this->cache->remember("{$this->key($edition, $reader)}-charts", Freshness::KEPT, fn (): array => $this->editions->charts($edition, $reader));
    }

    /** Of the document as it is stored, so that one that was changed is not shown from memory. */
    private function key(Edition $edition, Reader $reader): string
    {
        return implode('-', [
            'edition',
            Seal::of($edition->document),
            $edition->seal,
            $reader->key().($reader->isOpen($edition->published_at) ? '-open' : ''),
            $this->freshness->stamp(),
        ]);
    }
}
