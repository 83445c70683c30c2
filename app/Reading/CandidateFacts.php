<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\TimeLabel;
use App\Data\CandidateFactData;
use App\Enums\AverageKind;
use App\Market\AverageSetting;
use App\Market\BarRepository;
use App\Market\MarketState;
use App\Models\Instrument;
use App\Models\User;
use Illuminate\Contracts\Cache\Repository;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\AverageDailyRange;
use Watchpost\Core\Indicators\AverageOrder;
use Watchpost\Core\Indicators\Compression;
use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Stochastic;
use Watchpost\Core\Indicators\Streaks;
use Watchpost\Core\Indicators\ZScore;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

/** The few facts of a candidate that decide, each with a caution where it is beyond the author's limits. */
final readonly class CandidateFacts
{
    private const DAYS = 1_600;
    private const YEAR = 252;
    private const PERIOD = 20;
    private const BARS = 420;
    private const USUAL = ['Usual range', 'Volume', 'Turnover'];
    private const KEPT_FOR = 86_400;
    private const TREND = [TimeFrame::Hour, TimeFrame::Day, TimeFrame::Week, TimeFrame::Month];

    public function __construct(
        private BarRepository $bars,
        private EarningsAhead $earningsAhead,
        private NextSession $next,
        private TimeLabel $times,
        private MarketState $state,
        private Repository $cache,
    ) {
    }

    /** @return list<CandidateFactData> */
    public function of(Instrument $instrument, User $author): array
    {
        return $this->kept('all', $instrument, $author, $this->read(...));
    }

    /**
     * The fewest: what a session usually does, and whatever is beyond the author's limits.
     *
     * @return list<CandidateFactData>
     */
    public function brief(Instrument $instrument, User $author): array
    {
        return $this->kept('brief', $instrument, $author, $this->readBriefly(...));
    }

    /**
     * @param callable(Instrument, Limits, list<AverageSetting>): list<CandidateFactData> $read
     *
     * @return list<CandidateFactData>
     */
    private function kept(string $which, Instrument $instrument, User $author, callable $read): array
    {
        $limits = Limits::of($author);
        $order = MarketSettings::of($author)->order;
        $key = "facts.{$which}.".md5(serialize([$instrument->id, $limits, $order, $this->state->key()]));

        /** @var list<CandidateFactData> */
        return $this->cache->remember($key, self::KEPT_FOR, static fn (): array => $read($instrument, $limits, $order));
    }

    /**
     * @param list<AverageSetting> $order
     *
     * @return list<CandidateFactData>
     */
    private function readBriefly(Instrument $instrument, Limits $limits, array $order): array
    {
        $days = $this->bars->days($instrument, self::DAYS);
        $facts = $days->count() < 2 ? [] : [
            $this->dailyRange($days),
            $this->volume($days, $limits),
            $this->turnover($instrument, $days, $limits),
            $this->stretch($days, $order, $limits),
            $this->deviations($days, $limits),
            $this->streak($days, $limits),
            $this->compression($days),
            $this->earnings($instrument, $limits),
        ];

        return array_values(array_filter($facts, static fn (?CandidateFactData $fact): bool => $fact !== null && ($fact->caution !== '' || in_array($fact->label, self::USUAL, true))));
    }

    /**
     * @param list<AverageSetting> $order
     *
     * @return list<CandidateFactData>
     */
    private function read(Instrument $instrument, Limits $limits, array $order): array
    {
        $days = $this->bars->days($instrument, self::DAYS);
        if ($days->count() < 2) {
            return [];
        }

        return array_values(array_filter([
            $this->change($days),
            $this->volume($days, $limits),
            $this->dailyRange($days),
            $this->place($days),
            $this->trend($instrument, $days, $order),
            $this->stretch($days, $order, $limits),
            $this->deviations($days, $limits),
            $this->streak($days, $limits),
            $this->compression($days),
            $this->earnings($instrument, $limits),
            $this->turnover($instrument, $days, $limits),
            $this->expected($days),
            $this->odds($days, $order),
        ]));
    }

    private function change(Series $days): CandidateFactData
    {
        $last = $days->count() - 1;

        return new CandidateFactData('Change', self::signed(Distance::from($days->close[$last], $days->close[$last - 1], null)->percent, 2).' %', "from {$days->grid->format($days->close[$last - 1])}", '');
    }

    private function volume(Series $days, Limits $limits): ?CandidateFactData
    {
        $value = self::last(RelativeVolume::of(array_map(floatval(...), $days->volume), self::PERIOD));

        return $value === null ? null : new CandidateFactData('Volume', number_format($value, 1).' ×', 'its average of '.self::PERIOD, $value >= $limits->relativeVolume ? 'heavy: '.self::plain($limits->relativeVolume).' times its average or more' : '');
    }

    private function dailyRange(Series $days): ?CandidateFactData
    {
        $value = self::last(AverageDailyRange::of($days->highs(), $days->lows(), self::PERIOD));

        return $value === null ? null : new CandidateFactData('Usual range', number_format($value, 1).' %', 'of a session', '');
    }

    private function place(Series $days): ?CandidateFactData
    {
        $value = $days->count() < self::YEAR ? null : self::last(Stochastic::of($days->highs(), $days->lows(), $days->closes(), self::YEAR, 1, 1)['k']);

        return $value === null ? null : new CandidateFactData('52-week place', number_format($value).' %', 'of its range', '');
    }

    /** @param list<AverageSetting> $order */
    private function trend(Instrument $instrument, Series $days, array $order): ?CandidateFactData
    {
        $words = [];
        $builder = new BarBuilder(new SessionBook());
        foreach (self::TREND as $frame) {
            $series = match (true) {
                $frame === TimeFrame::Day => $days,
                $frame->isFinerThan(TimeFrame::Day) => $this->bars->series($instrument, $frame, self::BARS),
                default => $builder->larger($days, $frame),
            };
            $closes = $series->closes();
            $state = $closes === [] ? null : AverageOrder::of($closes, array_map(static fn (AverageSetting $one): array => $one->of($closes), $order));
            $stack = $state === null ? null : $state[count($state) - 1];
            if ($stack !== null) {
                $words[] = ['1h' => 'hour', '1d' => 'day', '1w' => 'week', '1mo' => 'month'][$frame->value]." {$stack->value}";
            }
        }

        return $words === [] ? null : new CandidateFactData('Averages stacked', implode(', ', $words), '', '');
    }

    /** @param list<AverageSetting> $order */
    private function stretch(Series $days, array $order, Limits $limits): ?CandidateFactData
    {
        $closes = $days->closes();
        $atr = self::last(Atr::of($days->highs(), $days->lows(), $closes, config()->integer('watchpost.chart.atr_period')));
        $parts = [];
        $farthest = 0.0;
        foreach ($order as $one) {
            $average = self::last($one->of($closes));
            if ($average !== null && $atr !== null && $atr > 0.0) {
                $away = ($closes[count($closes) - 1] - $average) / $atr;
                $parts[] = ($one->kind === AverageKind::Exponential ? 'E' : '')."{$one->period} ".self::signed($away, 1);
                // far from a slow average is how a trend looks: the caution is for the faster half
                $farthest = count($parts) * 2 <= count($order) + 1 ? max($farthest, abs($away)) : $farthest;
            }
        }

        return $parts === [] ? null : new CandidateFactData('ATR from averages', implode(' · ', $parts), '', $farthest >= $limits->stretchAtr ? 'stretched: '.self::plain($limits->stretchAtr).' ATR or more from a fast average' : '');
    }

    private function deviations(Series $days, Limits $limits): ?CandidateFactData
    {
        $value = self::last(ZScore::of($days->closes(), self::PERIOD));

        return $value === null ? null : new CandidateFactData('Deviations', self::signed($value, 1).' sd', 'from SMA '.self::PERIOD, abs($value) >= $limits->deviations ? 'stretched: '.self::plain($limits->deviations).' standard deviations or more' : '');
    }

    private function streak(Series $days, Limits $limits): ?CandidateFactData
    {
        $value = Streaks::of($days->closes())[$days->count() - 1] ?? null;
        if ($value === null || $value === 0) {
            return null;
        }

        return new CandidateFactData('Streak', abs($value).($value > 0 ? ' up' : ' down'), 'closes in a row', abs($value) >= $limits->streak ? "long: {$limits->streak} closes in a row or more" : '');
    }

    private function compression(Series $days): ?CandidateFactData
    {
        $compression = Compression::of($days->closes());
        $bars = self::last($compression['bars']);
        $released = self::last($compression['released']);

        return match (true) {
            $released !== null && $released !== 0.0 => new CandidateFactData('Compression', $released > 0 ? 'released upwards' : 'released downwards', 'in this session', 'just released'),
            $bars !== null && $bars > 0 => new CandidateFactData('Compression', number_format($bars).($bars > 1 ? ' sessions' : ' session'), 'narrow bands', 'at rest: a move may follow'),
            default => null,
        };
    }

    private function earnings(Instrument $instrument, Limits $limits): ?CandidateFactData
    {
        $ahead = $this->earningsAhead->of($instrument);
        if ($ahead === null) {
            return null;
        }
        [$next, $sessions] = $ahead;
        $value = match ($sessions) {
            0 => 'today',
            1 => 'next session',
            default => "in {$sessions} sessions",
        };

        return new CandidateFactData('Earnings', $value, trim("{$this->times->plainDate($next->date)} ".($next->side?->label() ?? '')), $sessions <= $limits->earningsSessions ? "within {$limits->earningsSessions} sessions" : '');
    }

    private function turnover(Instrument $instrument, Series $days, Limits $limits): ?CandidateFactData
    {
        $volume = self::last(Sma::of(array_map(floatval(...), $days->volume), self::PERIOD));
        if ($volume === null || $volume <= 0.0) {
            return null;
        }
        $money = $volume * $days->grid->toFloat($days->lastClose() ?? 0);

        return new CandidateFactData('Turnover', self::money($money)." {$instrument->currency}", 'a usual session', $money < $limits->turnover ? 'thin: below '.self::money($limits->turnover) : '');
    }

    private function expected(Series $days): ?CandidateFactData
    {
        $range = $this->next->expected($days);

        return $range === null ? null : new CandidateFactData('Expected range', "{$range->low} to {$range->high}", $range->held === null ? 'expected' : 'held on '.number_format($range->held * 100).' % of evenings', '');
    }

    /** @param list<AverageSetting> $order */
    private function odds(Series $days, array $order): ?CandidateFactData
    {
        $odds = $this->next->odds($days, $order);
        if ($odds === null || $odds->tooFew || $odds->share === null) {
            return $odds === null ? null : new CandidateFactData('Up in two sessions', 'too few', "{$odds->cases} cases", '');
        }
        $percent = static fn (?float $share): string => number_format(($share ?? 0.0) * 100);

        return new CandidateFactData('Up in two sessions', "{$percent($odds->share)} % of {$odds->cases}", "{$percent($odds->low)} to {$percent($odds->high)} %; all {$percent($odds->allShare)} %", '');
    }

    /**
     * @param list<float|null> $values
     */
    private static function last(array $values): ?float
    {
        return $values === [] ? null : $values[count($values) - 1];
    }

    private static function signed(float|string $value, int $digits): string
    {
        $text = number_format(abs((float) $value), $digits);

        return ((float) $text === 0.0 ? '' : ((float) $value > 0 ? '+' : '−')).$text;
    }

    private static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }

    private static function money(float $value): string
    {
        return match (true) {
            $value >= 999_500_000 => number_format($value / 1e9, 1).' bn',
            $value >= 999_500 => number_format($value / 1e6, 1).' m',
            $value >= 999.5 => number_format($value / 1e3).' k',
            default => number_format($value),
        };
    }
}
