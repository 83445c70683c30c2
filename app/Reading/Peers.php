<?php

declare(strict_types=1);

namespace App\Reading;

use App\Data\PeerData;
use App\Market\BarRepository;
use App\Market\MarketState;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\User;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Database\Eloquent\Collection;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Statistics\Correlation;

/** A candidate beside those of its industry and what it is measured against: who leads, and what could stand in for it. */
final readonly class Peers
{
    public const SESSIONS = 60;
    private const KEPT_FOR = 86_400;
    /** Correlation from which another moves as the candidate does. */
    private const ALIKE = 0.5;
    /** What stands in should cost no more than this part of the candidate's price. */
    private const CHEAPER = 0.7;

    public function __construct(private BarRepository $bars, private CandidateFacts $facts, private MarketState $state, private Repository $cache)
    {
    }

    /** @return list<PeerData> the candidate first, then by strength */
    public function of(Candidate $candidate, User $author): array
    {
        $chosen = $candidate->instrument;
        $members = $this->members($chosen);
        /** @var array<int, Series> $series */
        $series = $members->mapWithKeys(fn (Instrument $one): array => [$one->id => $this->bars->days($one, self::SESSIONS + 1)])->all();
        $risen = array_map(self::risen(...), $series);
        $own = $series[$chosen->id];
        $alike = array_map(static fn (Series $one): ?float => $one === $own ? null : Correlation::last($own, $one, self::SESSIONS), $series);
        $leader = $this->leader($members, $risen);
        $standIn = $this->standIn($members, $series, $alike, $chosen);
        /** @var array<int, int> $listed */
        $listed = $candidate->plan->candidates()->pluck('instrument_id', 'instrument_id')->all();
        $peers = $members->map(fn (Instrument $one): PeerData => $this->peer($one, $series[$one->id], $author, $one->is($chosen), $one->id === $leader, $one->id === $standIn, isset($listed[$one->id]), $risen[$one->id], $alike[$one->id]))->all();
        usort($peers, static fn (PeerData $a, PeerData $b): int => [$b->isChosen, $b->risen ?? -INF] <=> [$a->isChosen, $a->risen ?? -INF]);

        return $peers;
    }

    /** @return array<string, string> the symbol of the share that leads, by industry */
    public function leaders(): array
    {
        /** @var array<string, string> */
        return $this->cache->remember("leaders.{$this->state->key()}", self::KEPT_FOR, $this->readLeaders(...));
    }

    /** @return array<string, string> */
    private function readLeaders(): array
    {
        $leaders = [];
        foreach (Instrument::query()->where('kind', InstrumentKind::Share)->get()->groupBy('group') as $group => $members) {
            $leader = $this->leader($members, $members->mapWithKeys(fn (Instrument $one): array => [$one->id => self::risen($this->bars->days($one, self::SESSIONS + 1))])->all());
            if ($leader !== null && $members->count() > 1) {
                $leaders[(string) $group] = $members->firstWhere('id', $leader)->symbol ?? '';
            }
        }

        return $leaders;
    }

    /** @return Collection<int, Instrument> */
    private function members(Instrument $chosen): Collection
    {
        return Instrument::query()
            ->whereKey($chosen->id)
            ->orWhere(static fn ($query) => $query->where('group', $chosen->group)->whereNull('last_session'))
            ->orWhere('symbol', $chosen->benchmark)
            ->orderBy('symbol')
            ->get();
    }

    /**
     * @param Collection<int, Instrument> $members
     * @param array<int, float|null>      $risen
     */
    private function leader(Collection $members, array $risen): ?int
    {
        $shares = array_filter(array_intersect_key($risen, array_flip($members->where('kind', InstrumentKind::Share)->modelKeys())), static fn (?float $one): bool => $one !== null);
        arsort($shares);

        return array_key_first($shares);
    }

    /**
     * @param Collection<int, Instrument> $members
     * @param array<int, Series>          $series
     * @param array<int, float|null>      $alike
     */
    private function standIn(Collection $members, array $series, array $alike, Instrument $chosen): ?int
    {
        $price = self::money($series[$chosen->id]);
        $cheaper = $members->filter(static fn (Instrument $one): bool => $one->isTraded() && $one->currency === $chosen->currency && ($alike[$one->id] ?? 0.0) >= self::ALIKE && $price !== null && (self::money($series[$one->id]) ?? INF) <= self::CHEAPER * $price);

        return $cheaper->sortBy(static fn (Instrument $one): ?float => self::money($series[$one->id]))->first()?->id;
    }

    private function peer(Instrument $one, Series $series, User $author, bool $isChosen, bool $leads, bool $standsIn, bool $onList, ?float $risen, ?float $alike): PeerData
    {
        $close = $series->lastClose();
        $before = $series->close[$series->count() - 2] ?? null;

        return new PeerData(
            $one->id,
            $one->symbol,
            $one->name,
            $one->kind->label(),
            $isChosen,
            $leads,
            $standsIn,
            $onList,
            $close === null ? null : $series->grid->format($close),
            $close === null || $before === null ? null : Distance::from($close, $before, null)->percent,
            $risen,
            $alike,
            $this->facts->brief($one, $author),
            $series->closes(),
        );
    }

    private static function risen(Series $series): ?float
    {
        $first = $series->close[$series->count() - 1 - self::SESSIONS] ?? null;

        return $first === null ? null : 100 * (($series->lastClose() ?? $first) / $first - 1);
    }

    private static function money(Series $series): ?float
    {
        $close = $series->lastClose();

        return $close === null ? null : $series->grid->toFloat($close);
    }
}
