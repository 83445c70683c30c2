<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\MarketClock;
use App\Data\FigureData;
use App\Market\Calendars;
use App\Market\Events;
use App\Models\Candidate;
use App\Reading\Limits;
use App\Reading\SizeReading;
use App\Support\Signed;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\PlanFigures;
use Watchpost\Core\Setups\Setup;

/** What a complete setup promises, needs and risks, told beside it while it is planned; it warns, and never forbids. */
final readonly class SetupReading
{
    /** Sessions over which a usual volume is taken. */
    private const VOLUME_SESSIONS = 20;
    /** A target further away than this many usual moves of the hold is far. */
    private const FAR = 1.5;

    public function __construct(private Events $events, private Calendars $calendars, private MarketClock $clock, private SizeReading $sizes)
    {
    }

    /**
     * @param int        $goodFor sessions for which the entry may wait: without a time stop, the usual hold
     * @param float|null $atr     average true range, in units
     *
     * @return list<FigureData>
     */
    public function figures(Candidate $candidate, Setup $setup, int $goodFor, Series $series, ?float $atr, Limits $limits): array
    {
        $close = $series->lastClose();
        if ($close === null) {
            return [];
        }
        $figures = new PlanFigures($setup, $close);
        $blended = $figures->blendedR();
        $rate = $figures->breakEvenRate();
        $distance = $figures->distanceToEntry();
        $hold = $setup->timeStop ?? $goodFor;
        $lines = [];
        if ($blended !== null) {
            $lines[] = new FigureData('All targets', self::signed($blended, 2).' R', 'if every target is reached');
        }
        if ($rate !== null) {
            $lines[] = new FigureData('Breaks even', $rate->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' %', 'of such trades must win');
        }
        if ($distance !== null && $atr !== null && $atr > 0.0) {
            $lines[] = new FigureData('To the entry', number_format($distance / $atr, 1, '.', '').' ATR', $distance > 0 ? 'from the last close' : 'price is there already');
        }
        $last = $setup->targets[count($setup->targets) - 1] ?? null;
        if ($last !== null && $atr !== null && $atr > 0.0) {
            $lines[] = new FigureData('Last target', number_format($this->reach($figures, $last->price) / $atr, 1, '.', '').' ATR', 'away; '.number_format(sqrt($hold), 1, '.', '').' is usual in '.$hold.' sessions');
        }

        return [...$lines, ...$this->size($candidate, $figures, $series, $limits)];
    }

    /**
     * @param int        $goodFor sessions for which the entry may wait: without a time stop, the usual hold
     * @param float|null $atr     average true range, in units
     *
     * @return list<string>
     */
    public function warnings(Candidate $candidate, Setup $setup, int $goodFor, Series $series, ?float $atr, Limits $limits): array
    {
        $close = $series->lastClose();
        if ($close === null) {
            return [];
        }
        $figures = new PlanFigures($setup, $close);
        $blended = $figures->blendedR();
        $hold = $setup->timeStop ?? $goodFor;
        $last = $setup->targets[count($setup->targets) - 1] ?? null;
        $risk = $figures->risk()->toFloat();

        return array_values(array_filter([
            $setup->wouldFillAt($close) ? 'Price is at the entry already: it would be filled at the next open.' : null,
            $blended !== null && $blended->toFloat() < $limits->leastReward ? 'All targets together bring '.self::signed($blended, 2)." R, less than your {$limits->leastReward} R." : null,
            $atr !== null && $risk < $limits->noiseAtr * $atr ? 'The stop is '.number_format($risk / $atr, 1, '.', '')." ATR from the entry: inside the noise of your {$limits->noiseAtr} ATR." : null,
            $last !== null && $atr !== null && $this->reach($figures, $last->price) > self::FAR * sqrt($hold) * $atr ? "The last target is further away than price usually goes in {$hold} sessions." : null,
            $this->eventWithin($candidate, $setup),
            $this->volumeWarning($candidate, $figures, $series, $limits),
            ...$this->roundNumbers($setup, $series),
        ], static fn (?string $line): bool => $line !== null));
    }

    /** @return list<FigureData> */
    private function size(Candidate $candidate, PlanFigures $figures, Series $series, Limits $limits): array
    {
        $units = $this->sizes->units($candidate->instrument, $figures, $limits->account());
        $volume = $this->usualVolume($series);

        return [
            ...$this->sizes->figures($candidate->instrument, $figures, $limits->account()),
            ...($units !== null && $units > 0 && $volume > 0.0 ? [new FigureData('Of a session', self::volumeShare($units, $volume).' %', 'of the usual volume')] : []),
        ];
    }

    private function volumeWarning(Candidate $candidate, PlanFigures $figures, Series $series, Limits $limits): ?string
    {
        $volume = $this->usualVolume($series);
        $units = $this->sizes->units($candidate->instrument, $figures, $limits->account());

        return $units !== null && $volume > 0.0 && 100 * $units / $volume > $limits->volumeShare ? 'The size takes '.self::volumeShare($units, $volume)." % of a usual session's volume." : null;
    }

    private function eventWithin(Candidate $candidate, Setup $setup): ?string
    {
        $calendar = $this->calendars->of($candidate->instrument);
        $from = $calendar->dateOf($this->clock->moment());
        $to = $calendar->countedFrom($calendar->dateOf($setup->entryUntil), $setup->timeStop ?? 1)->date;
        $earnings = $this->events->earningsBetween($candidate->instrument, $from, $to);

        return $earnings === [] ? null : "Earnings on {$earnings[0]->date} fall into its time.";
    }

    /** @return list<string> */
    private function roundNumbers(Setup $setup, Series $series): array
    {
        $named = [];
        foreach ($setup->entryPrices() as $price) {
            $named['The entry'] = $price;
        }
        foreach ($setup->targets as $i => $target) {
            $named['Target '.($i + 1)] = $target->price;
        }
        $lines = [];
        foreach ($named as $name => $price) {
            // a tenth of the price's order of magnitude: 5.00 near 50, 50.00 near 500
            $step = 10 ** max(0, strlen((string) $price) - 1) / 2;
            if ($price % $step === 0) {
                $lines[] = "{$name} is on the round number {$series->grid->format($price)}, which others see too.";
            }
        }

        return $lines;
    }

    private function reach(PlanFigures $figures, int $target): float
    {
        return abs(BigRational::of($target)->minus($figures->averageEntry())->toFloat());
    }

    private function usualVolume(Series $series): float
    {
        $volumes = array_slice($series->volume, -self::VOLUME_SESSIONS);

        return $volumes === [] ? 0.0 : array_sum($volumes) / count($volumes);
    }

    private static function volumeShare(int $units, float $volume): string
    {
        $percent = 100 * $units / $volume;

        return $percent < 0.1 ? 'under 0.1' : number_format($percent, 1, '.', '');
    }

    private static function signed(BigRational $value, int $decimals): string
    {
        return Signed::of((string) $value->toScale($decimals, RoundingMode::HALF_UP));
    }
}
