<?php

declare(strict_types=1);

namespace Watchpost\Simulator\Tests;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Simulator\ListingState;
use Watchpost\Simulator\QuayExchange;
use Watchpost\Simulator\Simulator;

final class SimulatorTest extends TestCase
{
    public function testTheSameSeedGivesTheSameBytes(): void
    {
        self::assertSame($this->bytes('harbour', 30), $this->bytes('harbour', 30));
        self::assertNotSame($this->bytes('harbour', 30), $this->bytes('lantern', 30));
    }

    public function testASessionComesOutTheSameFromAStoredState(): void
    {
        $simulator = new Simulator('harbour');
        $listing = QuayExchange::listings()['GRIT.Q'];
        $sessions = QuayExchange::calendar()->between('2026-10-01', '2026-10-09');
        $first = $simulator->play($listing, $simulator->begin($listing), $sessions[0]);
        $stored = json_decode(json_encode($first->state->toArray(), JSON_THROW_ON_ERROR), true, 4, JSON_THROW_ON_ERROR);
        self::assertIsArray($stored);

        $again = $simulator->play($listing, ListingState::fromArray($stored), $sessions[1]);

        self::assertEquals($simulator->play($listing, $first->state, $sessions[1]), $again);
    }

    public function testEveryBarIsPossibleAndOnTheTick(): void
    {
        $simulator = new Simulator('harbour');
        foreach (QuayExchange::listings() as $listing) {
            $state = $simulator->begin($listing);
            foreach (QuayExchange::calendar()->between('2026-12-21', '2027-01-05') as $session) {
                $played = $simulator->play($listing, $state, $session);
                foreach ([...$played->bars, $played->day()] as $bar) {
                    self::assertTrue($bar->low > 0 && $bar->low <= min($bar->open, $bar->close) && $bar->high >= max($bar->open, $bar->close));
                    self::assertTrue($listing->instrument->grid->onTick($bar->high) && $listing->instrument->grid->onTick($bar->close));
                    self::assertGreaterThanOrEqual(0, $bar->volume);
                }
                self::assertCount($session->date === '2026-12-24' ? 42 : 78, $played->bars);
                self::assertSame($session->close, $played->bars[count($played->bars) - 1]->end);
                $state = $played->state;
            }
        }
    }

    public function testTheExchangeHasInstrumentsOfManyKindsAndScales(): void
    {
        $listings = QuayExchange::listings();
        $kinds = array_unique(array_map(static fn ($listing): string => $listing->instrument->kind->value, $listings));

        self::assertGreaterThanOrEqual(12, count($listings));
        self::assertCount(count(InstrumentKind::cases()), $kinds);
        self::assertLessThan(0.05, min(array_map(static fn ($listing): float => $listing->firstPrice, $listings)));
        self::assertGreaterThan(20_000, max(array_map(static fn ($listing): float => $listing->firstPrice, $listings)));
        self::assertSame([], array_filter(array_keys($listings), static fn (string $symbol): bool => ! str_ends_with($symbol, '.Q')));
    }

    public function testThereIsMoreVolumeWhenPriceMovesMore(): void
    {
        $simulator = new Simulator('harbour');
        $listing = QuayExchange::listings()['PINE.Q'];
        $state = $simulator->begin($listing);
        $days = [];
        foreach (QuayExchange::calendar()->between('2025-01-02', '2026-06-30') as $session) {
            $played = $simulator->play($listing, $state, $session, 1_800);
            $state = $played->state;
            $days[] = $played->day();
        }
        $move = static fn (Bar $bar): float => ($bar->high - $bar->low) / $bar->close;
        usort($days, static fn (Bar $a, Bar $b): int => $move($a) <=> $move($b));
        $volume = static fn (array $bars): float => array_sum(array_map(static fn (Bar $bar): int => $bar->volume, $bars)) / count($bars);

        self::assertGreaterThan(1.2 * $volume(array_slice($days, 0, 80)), $volume(array_slice($days, -80)));
    }

    private function bytes(string $seed, int $sessions): string
    {
        $simulator = new Simulator($seed);
        $bytes = '';
        foreach (QuayExchange::listings() as $listing) {
            $state = $simulator->begin($listing);
            foreach (array_slice(QuayExchange::calendar()->between(QuayExchange::FIRST_DATE, '2024-12-31'), 0, $sessions) as $session) {
                $played = $simulator->play($listing, $state, $session, 1_800);
                $state = $played->state;
                $bytes .= serialize($played);
            }
        }

        return hash('sha256', $bytes);
    }
}
