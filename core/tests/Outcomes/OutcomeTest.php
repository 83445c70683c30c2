<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;

/** The hand-worked cases of edge-cases.md and rules.md that this version of the engine covers. */
final class OutcomeTest extends TestCase
{
    /**
     * @param list<string>          $story    the events
     * @param array<string, mixed>  $expected parts of the result
     */
    #[DataProvider('cases')]
    public function testWhatHappened(Scenario $scenario, array $story, array $expected): void
    {
        self::assertSame($story, $scenario->story());
        $result = $scenario->outcome()->toArray();
        foreach ($expected as $key => $value) {
            self::assertSame($value, $result[$key], $key);
        }
    }

    /** @return iterable<string, array{Scenario, list<string>, array<string, mixed>}> */
    public static function cases(): iterable
    {
        yield 'T1 gap through a touch in favour fills at the open' => [
            Scenario::touch('long', '33.40', '31.90', '0.10')->day('32.85/33.20/32.70/33.00'),
            ['fill 32.85 x1 gap'],
            ['status' => 'open', 'average_fill' => '32.8500', 'r' => '0.0938', 'per_unit' => '0.15', 'mfe_r' => '0.2188', 'mae_r' => '-0.0938'],
        ];
        yield 'T2 gap through a break fills at the open' => [
            Scenario::break('long', '58.00', '55.00')->targets(['66.00' => '1'])->day('60.30/61.00/60.00/60.50'),
            ['fill 60.30 x1 gap'],
            ['status' => 'open', 'r' => '0.0667'],
        ];
        yield 'T2 no chase waits for an open below' => [
            Scenario::break('long', '58.00', '55.00', true)->targets(['66.00' => '1'])->day('60.30/61.00/57.50/58.20')->day('57.80/58.40/57.60/58.10'),
            ['fill 58.00 x1'],
            ['status' => 'open', 'first_fill_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'no chase fills at an open that stands exactly at the price' => [
            Scenario::break('long', '58.00', '55.00', true)->day('58.00/58.40/57.60/58.10'),
            ['fill 58.00 x1'],
            ['status' => 'open'],
        ];
        yield 'no chase was reached but never filled: missed by nothing' => [
            Scenario::break('long', '58.00', '55.00', true)->day('60.30/61.00/57.50/58.20'),
            ['expired'],
            ['status' => 'not_triggered', 'missed_by' => ['leg' => 'entry', 'price' => '0.00', 'percent' => '0.00', 'session' => '2026-10-15']],
        ];
        yield 'T58 a split scales a waiting setup, and prices are told as they trade' => [
            Scenario::touch('long', '62.00', '58.00')->targets(['70.00' => '1'])->split('2026-10-20', '3')
                ->day('63.10/63.90/62.80/63.00')->day('63.00/63.50/62.40/62.90')->day('20.80/20.90/20.55/20.70'),
            ['fill 20.67 x1'],
            ['status' => 'open', 'average_fill' => '20.6667', 'stop' => '19.33', 'r' => '0.0250', 'per_unit' => '0.03', 'percent' => '0.16', 'mae_r' => '-0.0875'],
        ];
        yield 'T58 an open position goes through a split unhurt' => [
            Scenario::touch('long', '62.00', '58.00')->targets(['70.00' => '1'])->split('2026-10-16', '2')->split('2026-10-20', '0.5')
                ->day('62.00/63.00/61.00/62.50')->day('31.00/31.50/30.50/31.25')->day('64.00/71.00/63.00/70.50'),
            ['fill 62.00 x1', 'target 1 70.00 x1'],
            ['status' => 'closed', 'r' => '2.0000', 'average_fill' => '62.0000', 'mae_r' => '-0.2500'],
        ];
        yield 'a split of 3 for 2 needs no rounding' => [
            Scenario::break('short', '60.01', '63.00')->split('2026-10-16', '1.5')->day('61.00/61.50/60.10/60.50')->day('40.20/40.30/39.00/39.10'),
            ['fill 40.01 x1'],
            ['status' => 'open', 'missed_by' => null, 'stop' => '42.00', 'r' => '0.4548', 'average_fill' => '40.0067'],
        ];
        yield 'the nearest miss is told on the scale of its bar' => [
            Scenario::break('long', '66.00', '58.00')->split('2026-10-16', '3')->day('62.00/63.00/61.00/62.50')->day('20.90/21.90/20.80/21.50'),
            ['expired'],
            ['status' => 'not_triggered', 'missed_by' => ['leg' => 'entry', 'price' => '0.10', 'percent' => '0.45', 'session' => '2026-10-16']],
        ];
        yield 'costs are those of the units of the time' => [
            Scenario::break('long', '62.00', '58.00')->costs(1, '0.01')->split('2026-10-16', '2')->day('61.00/63.00/60.90/62.50')->day('28.50/28.60/28.00/28.20'),
            ['fill 62.00 x1', 'stop 28.50 x1 gap'],
            ['r' => '-1.2650', 'per_unit' => '-2.53'],
        ];
        yield 'a split from before publication is in the published prices already' => [
            Scenario::touch('long', '20.70', '19.00')->publishedAt('2026-10-16T18:00:00Z')->split('2026-10-16', '3')
                ->day('63.10/63.90/62.80/63.00')->day('21.00/21.20/20.90/21.10')->day('20.80/20.90/20.55/20.70'),
            ['fill 20.70 x1'],
            ['average_fill' => '20.7000', 'stop' => '19.00'],
        ];
        yield 'T3 gap through the stop is out at the open' => [
            Scenario::touch('long', '47.20', '45.80')->day('47.20/47.60/47.00/47.30')->day('44.90/45.90/44.50/45.00'),
            ['fill 47.20 x1', 'stop 44.90 x1 gap'],
            ['status' => 'closed', 'r' => '-1.6429', 'mae_r' => '-1.6429', 'sessions_held' => 2],
        ];
        yield 'T4 gap through the target is filled at the open' => [
            Scenario::touch('long', '47.20', '45.80')->targets(['50.00' => '1'])->day('47.20/47.60/47.00/47.30')->day('50.75/51.20/50.10/51.00'),
            ['fill 47.20 x1', 'target 1 50.75 x1 gap'],
            ['status' => 'closed', 'r' => '2.5357', 'mfe_r' => '2.5357'],
        ];
        yield 'T5 an open past the target voids a break' => [
            Scenario::break('long', '58.00', '55.00')->targets(['61.50' => '1'])->day('62.10/62.50/61.00/62.00'),
            ['void past_target 62.10'],
            ['status' => 'void', 'r' => null, 'target_first' => '2026-10-15'],
        ];
        yield 'T5 an open past the stop voids a touch for good' => [
            Scenario::touch('long', '33.40', '31.90')->day('31.70/33.60/31.50/33.00')->day('33.80/34.00/33.20/33.90'),
            ['void past_stop 31.70'],
            ['status' => 'void', 'missed_by' => null],
        ];
        yield 'T5 an open exactly at the stop is void as well' => [
            Scenario::touch('long', '33.40', '31.90')->day('31.90/33.60/31.50/33.00'),
            ['void past_stop 31.90'],
            ['status' => 'void'],
        ];
        yield 'T5 a stop acts on a position only' => [
            Scenario::break('long', '58.00', '55.00')->day('57.00/57.40/54.20/56.00')->day('57.50/58.30/57.20/58.10'),
            ['fill 58.00 x1'],
            ['status' => 'open'],
        ];
        yield 'T5 an open at the cancel price ends the wait before any fill' => [
            Scenario::touch('long', '33.40', '31.90')->cancel('32.60')->day('32.60/33.60/32.50/33.00'),
            ['cancelled cancel'],
            ['status' => 'cancelled', 'filled_share' => '0', 'missed_by' => null],
        ];
        yield 'T5 a cancel on the side of the target' => [
            Scenario::touch('long', '62.00', '60.00')->targets(['66.00' => '1'])->cancel('66.00', 'target')->day('63.50/66.00/63.10/65.00')->day('62.50/62.60/61.50/62.00'),
            ['cancelled cancel'],
            ['status' => 'cancelled', 'target_first' => '2026-10-15'],
        ];
        yield 'T6 missed by the smallest step' => [
            Scenario::break('long', '58.00', '55.00')->day('57.10/57.80/56.90/57.30')->day('57.20/57.99/57.00/57.50')->day('57.20/57.60/57.00/57.50'),
            ['expired'],
            ['status' => 'not_triggered', 'r' => null, 'sessions_held' => null, 'missed_by' => ['leg' => 'entry', 'price' => '0.01', 'percent' => '0.02', 'session' => '2026-10-16']],
        ];
        yield 'T7 a low exactly at the touch price fills' => [
            Scenario::touch('long', '26.00', '25.20')->day('26.50/26.70/26.00/26.30'),
            ['fill 26.00 x1'],
            ['status' => 'open'],
        ];
        yield 'T7 a high exactly at the break price fills' => [
            Scenario::break('long', '27.00', '25.20')->day('26.50/27.00/26.20/26.80'),
            ['fill 27.00 x1'],
            ['status' => 'open', 'r' => '-0.1111'],
        ];
        yield 'T7 price exactly at the stop is out, exactly at the target is reached' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['26.50' => '0.5'])->day('26.00/26.30/25.90/26.10')->day('26.20/26.50/26.00/26.40')->day('26.10/26.20/25.20/25.80'),
            ['fill 26.00 x1', 'target 1 26.50 x0.5', 'stop 25.20 x0.5'],
            ['status' => 'closed', 'r' => '-0.1875', 'closed_at' => '2026-10-20T08:30:00Z', 'sessions_held' => 3],
        ];
        yield 'T8 tolerance is part of the trigger and paid for' => [
            Scenario::touch('long', '33.40', '31.90', '0.10')->day('34.00/34.20/33.47/33.90'),
            ['fill 33.50 x1'],
            ['r' => '0.2500', 'average_fill' => '33.5000'],
        ];
        yield 'T17 never triggered keeps every figure empty' => [
            Scenario::touch('long', '26.00', '25.20')->day('26.90/27.10/26.40/26.80'),
            ['expired'],
            ['status' => 'not_triggered', 'r' => null, 'r_realised' => null, 'r_open' => null, 'percent' => null, 'per_unit' => null, 'average_fill' => null, 'filled_share' => '0', 'mfe_r' => null, 'mae_r' => null],
        ];
        yield 'T18 already beyond the trigger when published fills at the first open' => [
            Scenario::break('long', '23.00', '22.00')->day('23.35/23.60/23.10/23.50'),
            ['fill 23.35 x1 gap'],
            ['status' => 'open'],
        ];
        yield 'T20 the bar that starts at entry_until no longer fills' => [
            Scenario::touch('long', '26.00', '25.20')->bar('2026-10-22T08:30:00Z', '2026-10-22', '26.90/27.00/26.50/26.80')->bar('2026-10-23T08:30:00Z', '2026-10-23', '25.90/26.10/25.80/26.00'),
            ['expired'],
            ['status' => 'not_triggered', 'missed_by' => ['leg' => 'entry', 'price' => '0.50', 'percent' => '1.92', 'session' => '2026-10-22']],
        ];
        yield 'T21 a bar that began before publication does not act' => [
            Scenario::touch('long', '26.00', '25.20')->bar('2026-10-14T08:30:00Z', '2026-10-14', '26.40/26.50/25.00/26.30')->bar('2026-10-15T08:30:00Z', '2026-10-15', '26.40/26.60/26.20/26.30'),
            ['expired'],
            ['status' => 'not_triggered', 'missed_by' => ['leg' => 'entry', 'price' => '0.20', 'percent' => '0.77', 'session' => '2026-10-15']],
        ];
        yield 'T24 stop and target in one bar, no finer bars: the stop, assumed' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->day('26.00/26.40/25.80/26.30')->day('26.40/28.30/25.10/27.60'),
            ['fill 26.00 x1', 'stop 25.20 x1 assumed'],
            ['status' => 'closed', 'r' => '-1.0000', 'ambiguous' => true, 'mfe_r' => '0.5000', 'mae_r' => '-1.0000'],
        ];
        yield 'T24 the finer bars say that the target came first' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->day('26.00/26.40/25.80/26.30')->day('26.40/28.30/25.10/27.60')
                ->finer('2026-10-16', 0, '26.40/28.30/26.30/28.00')->finer('2026-10-16', 1, '28.00/28.10/25.10/27.60'),
            ['fill 26.00 x1', 'target 1 28.00 x1'],
            ['r' => '2.5000', 'ambiguous' => false, 'closed_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'T24 finer bars that say the stop came first' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->day('26.00/26.40/25.80/26.30')->day('26.40/28.30/25.10/27.60')
                ->finer('2026-10-16', 0, '26.40/26.50/25.10/25.40')->finer('2026-10-16', 1, '25.40/28.30/25.30/27.60'),
            ['fill 26.00 x1', 'stop 25.20 x1'],
            ['r' => '-1.0000', 'ambiguous' => false],
        ];
        yield 'T24 one finer bar holds both: assumed for that bar' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->day('26.00/26.40/25.80/26.30')->day('26.40/28.30/25.10/27.60')
                ->finer('2026-10-16', 0, '26.40/26.60/26.30/26.50')->finer('2026-10-16', 3, '26.50/28.30/25.10/27.60'),
            ['fill 26.00 x1', 'stop 25.20 x1 assumed'],
            ['ambiguous' => true, 'closed_at' => '2026-10-16T10:00:00Z'],
        ];
        yield 'T24 finer bars that do not span the whole range are not used' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->day('26.00/26.40/25.80/26.30')->day('26.40/28.30/25.10/27.60')
                ->finer('2026-10-16', 0, '26.40/28.29/26.30/28.00')->finer('2026-10-16', 1, '28.00/28.10/25.10/27.60'),
            ['fill 26.00 x1', 'stop 25.20 x1 assumed'],
            ['ambiguous' => true, 'closed_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'T25 touch and stop in one bar is certain' => [
            Scenario::touch('long', '26.00', '25.20')->day('26.50/26.70/25.10/26.30'),
            ['fill 26.00 x1', 'stop 25.20 x1'],
            ['r' => '-1.0000', 'ambiguous' => false, 'mfe_r' => '0.0000', 'mae_r' => '-1.0000', 'sessions_held' => 1],
        ];
        yield 'T25 after a touch the high may have come first: no target' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['26.60' => '1'])->day('26.50/26.70/25.90/26.30'),
            ['fill 26.00 x1'],
            ['status' => 'open', 'mfe_r' => '0.3750', 'mae_r' => '-0.1250'],
        ];
        yield 'T25 a close at or beyond the target proves it' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['26.60' => '1'])->day('26.50/26.70/25.90/26.65'),
            ['fill 26.00 x1', 'target 1 26.60 x1'],
            ['status' => 'closed', 'r' => '0.7500', 'mfe_r' => '0.7500'],
        ];
        yield 'T25 touch, stop and target in one bar: filled and stopped, assumed' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['26.60' => '1'])->day('26.50/26.90/25.10/26.80'),
            ['fill 26.00 x1 assumed', 'stop 25.20 x1 assumed'],
            ['r' => '-1.0000', 'ambiguous' => true],
        ];
        yield 'T25 the same with finer bars that tell the order' => [
            Scenario::touch('long', '26.00', '25.20')->targets(['26.60' => '1'])->day('26.50/26.90/25.10/26.80')
                ->finer('2026-10-15', 0, '26.50/26.55/25.90/26.20')->finer('2026-10-15', 1, '26.20/26.90/26.10/26.70')->finer('2026-10-15', 2, '26.70/26.80/25.10/26.80'),
            ['fill 26.00 x1', 'target 1 26.60 x1'],
            ['r' => '0.7500', 'ambiguous' => false, 'first_fill_at' => '2026-10-15T08:30:00Z', 'closed_at' => '2026-10-15T09:00:00Z'],
        ];
        yield 'T25 break and stop in one bar: filled and stopped, assumed' => [
            Scenario::break('long', '27.00', '26.20')->day('26.50/27.40/26.10/27.20'),
            ['fill 27.00 x1 assumed', 'stop 26.20 x1 assumed'],
            ['r' => '-1.0000', 'ambiguous' => true],
        ];
        yield 'T25 break and target in one bar is certain' => [
            Scenario::break('long', '27.00', '25.90')->targets(['27.25' => '1'])->day('26.50/27.40/26.10/27.20'),
            ['fill 27.00 x1', 'target 1 27.25 x1'],
            ['status' => 'closed', 'r' => '0.2273', 'mae_r' => '-0.8182', 'ambiguous' => false],
        ];
        yield 'T25 price passes the entry on its way to the cancel price' => [
            Scenario::touch('long', '26.00', '25.20')->cancel('25.60')->day('26.50/26.70/25.50/25.90'),
            ['fill 26.00 x1'],
            ['status' => 'open'],
        ];
        yield 'a leg exactly at the cancel price fills first' => [
            Scenario::touch('long', '26.00', '25.20')->cancel('26.00')->day('26.50/26.70/25.50/25.90'),
            ['fill 26.00 x1'],
            ['status' => 'open'],
        ];
        yield 'a leg beyond the cancel price does not fill' => [
            Scenario::touch('long', '26.00', '25.20')->cancel('26.30')->day('26.50/26.70/25.50/25.90'),
            ['cancelled cancel'],
            ['status' => 'cancelled'],
        ];
        yield 'a break above and the cancel below in one bar: ambiguous, filled' => [
            Scenario::break('long', '27.00', '25.00')->cancel('26.00')->day('26.50/27.40/25.90/27.20'),
            ['fill 27.00 x1 assumed'],
            ['status' => 'open', 'ambiguous' => true],
        ];
        yield 'the finer bars say that the cancel came first' => [
            Scenario::break('long', '27.00', '25.00')->cancel('26.00')->day('26.50/27.40/25.90/27.20')
                ->finer('2026-10-15', 0, '26.50/26.60/25.90/26.10')->finer('2026-10-15', 1, '26.10/27.40/26.00/27.20'),
            ['cancelled cancel'],
            ['status' => 'cancelled', 'ambiguous' => false],
        ];
        yield 'cancel by touch in a bar that does not reach the leg' => [
            Scenario::break('long', '27.00', '25.00')->cancel('26.00')->day('26.50/26.60/25.90/26.10'),
            ['cancelled cancel'],
            ['status' => 'cancelled'],
        ];
        yield 'T26 the gain of the night counts from the next bar' => [
            Scenario::touch('long', '26.00', '25.20')->day('26.90/27.10/26.00/26.00')->asOf('2026-10-15T16:00:00Z'),
            ['fill 26.00 x1'],
            ['mfe_r' => '0.0000', 'mae_r' => '0.0000', 'r' => '0.0000', 'sessions_held' => 1],
        ];
        yield 'T32 part exits: realised and open apart' => [
            Scenario::touch('long', '62.00', '60.00')->targets(['66.00' => '0.5', '70.00' => '0.5'])->day('62.00/63.00/61.80/62.90')->day('63.00/67.20/62.80/67.00'),
            ['fill 62.00 x1', 'target 1 66.00 x0.5'],
            ['status' => 'open', 'r_realised' => '1.0000', 'r_open' => '1.2500', 'r' => '2.2500', 'closed_at' => null],
        ];
        yield 'T32 targets of less than all leave the rest to the stop' => [
            Scenario::touch('long', '62.00', '60.00')->targets(['66.00' => '0.25', '70.00' => '0.25'])->day('62.00/63.00/61.80/62.90')->day('69.00/70.50/68.00/70.00')->day('66.00/66.50/59.50/60.00'),
            ['fill 62.00 x1', 'target 1 69.00 x0.25 gap', 'target 2 70.00 x0.25', 'stop 60.00 x0.5'],
            ['status' => 'closed', 'r' => '1.3750'],
        ];
        yield 'T36 the target traded before the entry: no win' => [
            Scenario::touch('long', '62.00', '60.00')->targets(['66.00' => '1'])->day('63.50/66.40/63.10/65.00'),
            ['expired'],
            ['status' => 'not_triggered', 'target_first' => '2026-10-15', 'missed_by' => ['leg' => 'entry', 'price' => '1.10', 'percent' => '1.77', 'session' => '2026-10-15']],
        ];
        yield 'T36 it may still be filled later, and says so' => [
            Scenario::touch('long', '62.00', '60.00')->targets(['66.00' => '1'])->day('63.50/66.40/63.10/65.00')->day('63.00/63.20/61.90/62.50'),
            ['fill 62.00 x1'],
            ['status' => 'open', 'target_first' => '2026-10-15'],
        ];
        yield 'T38 a short gaps through its stop' => [
            Scenario::touch('short', '84.00', '86.00')->day('84.00/84.20/83.10/83.50')->day('87.10/88.00/86.50/87.00'),
            ['fill 84.00 x1', 'stop 87.10 x1 gap'],
            ['r' => '-1.5500', 'percent' => '-3.69', 'per_unit' => '-3.10', 'average_fill' => '84.0000', 'mfe_r' => '0.4500', 'mae_r' => '-1.5500', 'stop' => '86.00'],
        ];
        yield 'a short touch with tolerance fills below its price' => [
            Scenario::touch('short', '84.00', '86.00', '0.10')->targets(['80.00' => '1'])->day('83.00/83.92/82.80/83.50'),
            ['fill 83.90 x1'],
            ['r' => '0.1905'],
        ];
        yield 'T38 a short break' => [
            Scenario::break('short', '58.00', '60.00')->targets(['55.00' => '0.5', '52.00' => '0.5'])->day('58.50/58.90/57.40/57.60')->day('57.00/57.20/54.80/55.50'),
            ['fill 58.00 x1', 'target 1 55.00 x0.5'],
            ['status' => 'open', 'r_realised' => '0.7500', 'r_open' => '0.6250', 'mfe_r' => '1.6000', 'mae_r' => '-0.4500'],
        ];
        yield 'a last target that takes all that is left' => [
            Scenario::touch('long', '62.00', '60.00')->targets(['66.00' => '0.5', '70.00' => '0.5'])->day('62.00/63.00/61.80/62.90')->day('69.00/70.50/68.00/70.00'),
            ['fill 62.00 x1', 'target 1 69.00 x0.5 gap', 'target 2 70.00 x0.5'],
            ['status' => 'closed', 'r' => '3.7500', 'mfe_r' => '4.0000', 'percent' => '12.10'],
        ];
        yield 'without a bar, expiry stands at entry_until' => [
            Scenario::touch('long', '26.00', '25.20'),
            ['expired'],
            ['status' => 'not_triggered', 'missed_by' => null, 'events' => [['at' => '2026-10-22T15:00:00Z', 'session' => null, 'kind' => 'expired', 'leg' => 'entry', 'assumed' => false]]],
        ];
        yield 'before its time is over it waits' => [
            Scenario::touch('long', '26.00', '25.20')->day('26.90/27.10/26.40/26.80')->asOf('2026-10-16T16:00:00Z'),
            [],
            ['status' => 'waiting', 'missed_by' => null, 'stop' => '25.20'],
        ];
        yield 'a bar that has not ended is not read' => [
            Scenario::touch('long', '26.00', '25.20')->day('26.00/26.30/25.90/26.10')->day('26.20/26.50/25.00/26.40')->asOf('2026-10-16T14:59:59Z'),
            ['fill 26.00 x1'],
            ['status' => 'open', 'sessions_held' => 1],
        ];
        yield 'T62 costs are taken off R, not written into prices' => [
            Scenario::break('long', '27.00', '26.00')->costs(2, '0.01')->day('26.50/27.40/26.40/27.20')->day('27.00/27.10/25.90/26.00'),
            ['fill 27.00 x1', 'stop 26.00 x1'],
            ['r' => '-1.0600', 'percent' => '-3.93', 'per_unit' => '-1.06'],
        ];
        yield 'T62 a touch and a target pay no slippage' => [
            Scenario::touch('long', '26.00', '25.00')->targets(['27.00' => '1'])->costs(2, '0')->day('26.50/26.60/25.90/26.20')->day('26.50/27.10/26.40/27.00'),
            ['fill 26.00 x1', 'target 1 27.00 x1'],
            ['r' => '1.0000'],
        ];
    }

    public function testASessionUnderWayIsNotCountedAsHeld(): void
    {
        $outcome = Scenario::touch('long', '26.00', '25.20')->day('26.00/26.30/25.90/26.10');
        $input = $outcome->input();
        unset($input['costs']);
        $input['timeframe'] = '30m';
        $input['finer'] = ['timeframe' => '5m', 'bars' => []];
        $input['as_of'] = '2026-10-15T10:00:00Z';
        $result = OutcomeReader::read(Node::of($input))->answer(new OutcomeEngine())[0];

        self::assertSame(0, $result->sessionsHeld);
        self::assertSame('open', $result->status->value);
    }
}
