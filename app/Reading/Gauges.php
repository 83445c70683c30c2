<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\TimeLabel;
use App\Data\GaugeData;
use App\Data\NearLevelData;
use App\Levels\LevelReader;
use App\Market\AverageSetting;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Models\Instrument;
use App\Models\Level;
use App\Models\User;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\AverageOrder;
use Watchpost\Core\Indicators\Crossing;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Scanning\Ratio;
use Watchpost\Core\Statistics\Correlation;

/** Reads the gauges an author has chosen. */
final readonly class Gauges
{
    private const YEAR = Ratio::YEAR;
    private const SESSIONS = 560;
    private const CORRELATED = 63;
    private const SPARK = 60;

    public function __construct(private BarRepository $bars, private ChartBuilder $charts, private TimeLabel $times, private LevelReader $levels)
    {
    }

    /** @return list<GaugeData> in the order chosen; the first index leads */
    public function of(User $author, MarketSettings $settings): array
    {
        $instruments = Instrument::query()->whereIn('symbol', $settings->gauges)->get()->keyBy('symbol');
        $gauges = [];
        $leading = null;
        foreach ($settings->gauges as $symbol) {
            $instrument = $instruments->get($symbol);
            if ($instrument === null) {
                continue;
            }
            $series = $this->bars->days($instrument, self::SESSIONS);
            $gauges[] = $this->gauge($author, $instrument, $series, $settings->order, $leading);
            $leading ??= $series;
        }

        return $gauges;
    }

    /** @param list<AverageSetting> $order */
    private function gauge(User $author, Instrument $instrument, Series $series, array $order, ?Series $leading): GaugeData
    {
        $closes = $series->closes();
        $last = $series->count() - 1;
        $lines = array_map(static fn (AverageSetting $one): array => $one->of($closes), $order);
        $atr = Atr::of($series->highs(), $series->lows(), $closes, config()->integer('watchpost.chart.atr_period'));
        $slopes = $lines === [] ? [] : AverageOrder::slope($lines[count($lines) - 1], $atr);
        [$above, $below] = $this->near($author, $instrument, $series);

        return new GaugeData(
            $instrument->symbol,
            $instrument->name,
            $instrument->kind->label(),
            $instrument->currency,
            $last < 0 ? null : $series->grid->format($series->close[$last]),
            $last < 1 ? null : Distance::from($series->close[$last], $series->close[$last - 1], null)->percent,
            $this->place($series),
            AverageOrder::of($closes, $lines)[$last] ?? null,
            $slopes[$last] ?? null,
            $this->crossing($series, $order, $lines),
            $above,
            $below,
            $leading === null ? null : Correlation::last($series, $leading, self::CORRELATED),
            array_slice($closes, -self::SPARK),
        );
    }

    /** Where the close stands in the range of the last 252 sessions; null with fewer. */
    private function place(Series $series): ?float
    {
        if ($series->count() < self::YEAR) {
            return null;
        }
        $top = max([0, ...array_slice($series->high, -self::YEAR)]);
        $bottom = min([PHP_INT_MAX, ...array_slice($series->low, -self::YEAR)]);

        return $top === $bottom ? null : ($series->close[$series->count() - 1] - $bottom) / ($top - $bottom) * 100;
    }

    /**
     * @param list<AverageSetting>     $order
     * @param list<list<float|null>> $lines
     */
    private function crossing(Series $series, array $order, array $lines): ?string
    {
        $latest = null;
        $words = null;
        $names = ['close', ...array_map(static fn (AverageSetting $one): string => $one->name(), $order)];
        $all = [$series->closes(), ...$lines];
        // the close crosses fast averages every few days: only the slower pairs say something
        for ($i = 1; $i < count($all); ++$i) {
            for ($j = $i + 1; $j < count($all); ++$j) {
                $crossing = Crossing::last($all[$i], $all[$j]);
                if ($crossing !== null && ($latest === null || $crossing->index > $latest)) {
                    $latest = $crossing->index;
                    $ago = $series->count() - 1 - $crossing->index;
                    $words = "{$names[$i]} went ".($crossing->direction > 0 ? 'above' : 'below')." {$names[$j]} on {$this->times->plainDate($series->session[$crossing->index])}, ".match ($ago) {
                        0 => 'in this session',
                        1 => '1 session ago',
                        default => "{$ago} sessions ago",
                    };
                }
            }
        }

        return $words;
    }

    /**
     * The next level above and below: the author's own, or else the extremes that anyone would look at.
     *
     * @return array{NearLevelData|null, NearLevelData|null}
     */
    private function near(User $author, Instrument $instrument, Series $series): array
    {
        $close = $series->lastClose();
        if ($close === null) {
            return [null, null];
        }
        $levels = $this->own($author, $instrument, $series, $close) + $this->extremes($series);
        ksort($levels);
        $above = array_filter($levels, static fn (int $price): bool => $price > $close, ARRAY_FILTER_USE_KEY);
        $below = array_filter($levels, static fn (int $price): bool => $price < $close, ARRAY_FILTER_USE_KEY);
        $tell = fn (?int $price): ?NearLevelData => $price === null ? null : $this->tell($price, $levels[$price], $close, $series);

        return [$tell(array_key_first($above)), $tell(array_key_last($below))];
    }

    /** @return array<int, string> origin of the author's levels by price, in units */
    private function own(User $author, Instrument $instrument, Series $series, int $close): array
    {
        $input = new LevelInput($series);
        $levels = [];
        foreach ($this->levels->readAll(Level::query()->alive()->where(['author_id' => $author->id, 'instrument_id' => $instrument->id])->get(), $input) as $reading) {
            $levels[$reading->nearEdge($close)] = $reading->label;
        }

        return $levels;
    }

    /** @return array<int, string> origin by price, in units */
    private function extremes(Series $series): array
    {
        $levels = [];
        foreach ([self::YEAR => '52-week', 20 => '20-session'] as $sessions => $name) {
            if ($series->count() >= $sessions) {
                $levels[max([0, ...array_slice($series->high, -$sessions)])] ??= "{$name} high";
                $levels[min([PHP_INT_MAX, ...array_slice($series->low, -$sessions)])] ??= "{$name} low";
            }
        }

        return $levels;
    }

    private function tell(int $price, string $origin, int $close, Series $series): NearLevelData
    {
        $distance = Distance::from($price, $close, $this->charts->atr($series));

        return new NearLevelData($series->grid->format($price), $origin, $distance->percent, $distance->atr);
    }
}
