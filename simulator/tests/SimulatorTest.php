<?php

declare(strict_types=1);

namespace Watchpost\Simulator\Tests;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\MarketEventKind;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionSide;
use Watchpost\Core\Statistics\Correlation;
use Watchpost\Simulator\Barriers;
use Watchpost\Simulator\ListingState;
use Watchpost\Simulator\PlayedSession;
use Watchpost\Simulator\QuayExchange;
use Watchpost\Simulator\Simulator;

final class SimulatorTest extends TestCase
{
    public function testTheSameSeedGivesTheSameBytes(): void
    {
        self::assertSame($this->bytes('harbour'), $this->bytes('harbour'));
        self::assertNotSame($this->bytes('harbour'), $this->bytes('lantern'));
    }

    public function testASessionComesOutTheSameFromAStoredState(): void
    {
        $simulator = new Simulator('harbour');
        foreach (['GRIT.Q', 'SWEL.Q', 'WOOL.Q', 'SKDO.Q'] as $symbol) {
            $listing = QuayExchange::listings()[$symbol];
            $sessions = QuayExchange::calendar()->between('2026-10-01', '2026-10-09');
            $first = $simulator->play($listing, $simulator->begin($listing, '2026-10-01'), $sessions[0]);
            $stored = json_decode(json_encode($first->state->toArray(), JSON_THROW_ON_ERROR), true, 4, JSON_THROW_ON_ERROR);
            self::assertIsArray($stored);

            $again = (new Simulator('harbour'))->play($listing, ListingState::fromArray($stored), $sessions[1]);

            self::assertEquals($simulator->play($listing, $first->state, $sessions[1]), $again);
        }
    }

    public function testEveryBarIsPossibleAndOnTheTick(): void
    {
        foreach (QuayExchange::listings() as $symbol => $listing) {
            $calendar = QuayExchange::exchanges()[$listing->instrument->exchange];
            foreach ($this->played($symbol, '2026-12-21', '2027-01-05', 300) as $date => $played) {
                $session = $calendar->session($date);
                self::assertNotNull($session);
                foreach ([...$played->bars, ...$played->extended] as $bar) {
                    self::assertTrue($bar->low > 0 && $bar->low <= min($bar->open, $bar->close) && $bar->high >= max($bar->open, $bar->close));
                    self::assertTrue($listing->instrument->grid->onTick($bar->high) && $listing->instrument->grid->onTick($bar->close));
                    self::assertGreaterThanOrEqual(0, $bar->volume);
                }
                if ($listing->tradeShare === 1.0) {
                    self::assertCount(intdiv($session->close - $session->open, 300), $played->bars);
                    self::assertSame($session->close, $played->bars[count($played->bars) - 1]->end);
                }
            }
        }
    }

    public function testTheExchangeHasInstrumentsOfManyKindsAndScales(): void
    {
        $listings = QuayExchange::listings();
        $kinds = array_count_values(array_map(static fn ($listing): string => $listing->instrument->kind->value, $listings));
        $groups = array_unique(array_map(static fn (array $share): string => $share[1], QuayExchange::SHARES));

        self::assertSameSize(InstrumentKind::cases(), $kinds);
        self::assertSame([3, 4, 1], [$kinds['index'], $kinds['pair'], $kinds['coin']]);
        self::assertEqualsCanonicalizing(array_keys(QuayExchange::GROUPS), $groups);
        self::assertSame(2, count(array_filter($listings, static fn ($listing): bool => $listing->price < 0.10)));
        self::assertGreaterThan(16_000, max(array_map(static fn ($listing): float => $listing->price, $listings)));
        self::assertSame([], array_filter(array_keys($listings), static fn (string $symbol): bool => ! str_ends_with($symbol, '.Q')));
    }

    public function testTheCoastMovesTogetherAndItsGroupsApart(): void
    {
        $against = fn (string $a, string $b): float => $this->correlation($a, $b);

        self::assertGreaterThan(0.3, $against('OAKL.Q', 'NORD.Q'));
        self::assertGreaterThan(0.5, $against('QMC.Q', 'OAKL.Q'));
        self::assertGreaterThan($against('QUT.Q', 'OAKL.Q'), $against('QMC.Q', 'OAKL.Q'), 'a share is nearer to its own group');
        self::assertLessThan(-0.9, $against('MIRR.Q', 'NORD.Q'));
        self::assertGreaterThan(0.9, $against('TWIN.Q', 'NORD.Q'));
        self::assertLessThan(-0.4, $against('SWEL.Q', 'NORD.Q'), 'the gauge rises when the market falls');
        self::assertLessThan(0.3, abs($against('SKDO.Q', 'NORD.Q')));
    }

    public function testThereIsMoreVolumeWhenPriceMovesMore(): void
    {
        $days = $this->days('PINE.Q', '2025-01-02', '2026-06-30');
        $move = static fn (Bar $bar): float => ($bar->high - $bar->low) / $bar->close;
        usort($days, static fn (Bar $a, Bar $b): int => $move($a) <=> $move($b));
        $volume = static fn (array $bars): float => array_sum(array_map(static fn (Bar $bar): int => $bar->volume, $bars)) / count($bars);

        self::assertGreaterThan(1.2 * $volume(array_slice($days, 0, 80)), $volume(array_slice($days, -80)));
    }

    public function testPriceTurnsAtABarrierMoreOftenThanItGoesThrough(): void
    {
        $listing = QuayExchange::listings()['BRKF.Q'];
        $barriers = new Barriers('harbour', 'BRKF.Q', log($listing->price), $listing->dailyMove);
        $met = $held = 0;
        $before = null;
        foreach ($this->days('BRKF.Q', '2018-01-02', '2026-09-30') as $bar) {
            $above = $before === null ? null : 100 * exp($barriers->at($barriers->below(log($before / 100)) + 1));
            if ($above !== null && $bar->open < $above && $bar->high > 0.999 * $above) {
                ++$met;
                $held += $bar->close < $above ? 1 : 0;
            }
            $before = $bar->close;
        }

        self::assertGreaterThan(100, $met);
        self::assertGreaterThan(0.7, $held / $met);
        self::assertLessThan(0.95, $held / $met, 'and yet it goes through now and then');
    }

    public function testNewsMovesTheSessionThatFirstKnowsIt(): void
    {
        $simulator = new Simulator('harbour');
        $events = $simulator->diary->events(QuayExchange::listings()['MOSS.Q']);
        $offering = array_values(array_filter($events, static fn ($event): bool => $event->kind === MarketEventKind::Offering))[0];
        self::assertSame(['2026-09-22', SessionSide::After], [$offering->date, $offering->side]);
        $played = $this->played('MOSS.Q', '2026-09-18', '2026-09-23', 300);
        $gap = $played['2026-09-23']->bars[0]->open / $played['2026-09-22']->bars[77]->close;
        self::assertLessThan(0.92, $gap);
        $evening = array_filter($played['2026-09-22']->extended, static fn (Bar $bar): bool => $bar->start >= $played['2026-09-22']->bars[77]->end);
        self::assertLessThan(0.95, array_values($evening)[0]->close / $played['2026-09-22']->bars[77]->close, 'seen after the close already');

        foreach (QuayExchange::SHARES as $symbol => $_) {
            $earnings = array_filter($simulator->diary->events(QuayExchange::listings()[$symbol]), static fn ($event): bool => $event->kind === MarketEventKind::Earnings && $event->date >= '2026-01-01' && $event->date < '2027-01-01');
            self::assertCount(4, $earnings, $symbol);
        }
    }

    public function testASplitDividesThePriceAndMultipliesTheVolume(): void
    {
        $days = $this->days('OAKL.Q', '2026-08-03', '2026-11-20');
        $before = array_values(array_filter($days, static fn (Bar $bar): bool => $bar->session < '2026-10-12'));
        $after = array_values(array_filter($days, static fn (Bar $bar): bool => $bar->session >= '2026-10-12'));
        $mean = static fn (array $bars): float => array_sum(array_map(static fn (Bar $bar): int => $bar->volume, $bars)) / count($bars);

        self::assertEqualsWithDelta(3.0, $before[count($before) - 1]->close / $after[0]->open, 0.2);
        self::assertEqualsWithDelta(3.0, $mean($after) / $mean($before), 1.2);
    }

    public function testAHaltAndAThinNameLeaveBarsOut(): void
    {
        $halted = $this->played('SILT.Q', '2026-10-07', '2026-10-08', 300);
        self::assertCount(78, $halted['2026-10-07']->bars);
        self::assertCount(60, $halted['2026-10-08']->bars);
        foreach ($this->played('THIM.Q', '2026-10-05', '2026-10-09', 300) as $thin) {
            self::assertLessThan(30, count($thin->bars));
        }
    }

    public function testAContractMovesWithItsSeriesAndTheSeriesRollsToTheNext(): void
    {
        $series = $this->days('BRNZ.Q', '2026-11-20', '2026-12-18');
        $front = $this->days('BRNZ-2612.Q', '2026-11-20', '2026-12-18');
        $next = $this->days('BRNZ-2703.Q', '2026-11-20', '2026-12-18');
        $roll = QuayExchange::rolls('BRNZ.Q', '2026-11-20', '2026-12-18');

        self::assertSame([['session' => '2026-12-09', 'from' => 'BRNZ-2612.Q', 'to' => 'BRNZ-2703.Q']], $roll);
        foreach ($series as $i => $bar) {
            self::assertSame(($bar->session < '2026-12-09' ? $front : $next)[$i]->close, $bar->close);
            self::assertGreaterThanOrEqual($front[$i]->close, $next[$i]->close, 'the later contract carries more');
        }
    }

    /** @return array<string, PlayedSession> by date */
    private function played(string $symbol, string $from, string $to, ?int $barSeconds): array
    {
        $simulator = new Simulator('harbour');
        $listing = QuayExchange::listings()[$symbol];
        $calendar = QuayExchange::exchanges()[$listing->instrument->exchange];
        $state = $simulator->begin($listing, $from);
        $played = [];
        foreach ($calendar->between($from, $to) as $session) {
            $played[$session->date] = $simulator->play($listing, $state, $session, $barSeconds, $calendar->extended($session));
            $state = $played[$session->date]->state;
        }

        return $played;
    }

    /** @return list<Bar> */
    private function days(string $symbol, string $from, string $to): array
    {
        return array_values(array_filter(array_map(static fn (PlayedSession $played): ?Bar => $played->day(0, 0), $this->played($symbol, $from, $to, null))));
    }

    private function correlation(string $a, string $b): float
    {
        $closes = function (string $symbol): array {
            $closes = [];
            foreach ($this->days($symbol, '2024-01-02', '2026-08-31') as $bar) {
                $closes[$bar->session] = (float) $bar->close;
            }

            return $closes;
        };
        $x = $closes($a);
        $y = $closes($b);
        $dates = array_keys(array_intersect_key($x, $y));
        $n = count($dates) - 1;
        $on = static fn (array $column): array => array_map(static fn (string $date): float => $column[$date], $dates);

        return Correlation::of($on($x), $on($y), $n)[$n] ?? 0.0;
    }

    private function bytes(string $seed): string
    {
        $simulator = new Simulator($seed);
        $bytes = '';
        foreach (QuayExchange::listings() as $listing) {
            $state = $simulator->begin($listing, '2026-09-01');
            foreach ([new Session('2026-09-01', 0, 23_400), new Session('2026-09-02', 86_400, 109_800)] as $session) {
                $played = $simulator->play($listing, $state, $session, 1_800);
                $state = $played->state;
                $bytes .= serialize($played);
            }
        }

        return hash('sha256', $bytes);
    }
}
