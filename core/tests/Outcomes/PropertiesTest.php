<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Eris\Attributes\ErisRepeat;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Setups\Setup;

/** The properties of rules.md that must always hold, over random bars and random setups. */
final class PropertiesTest extends TestCase
{
    use TestTrait;

    private const FIGURES = ['status', 'r', 'r_realised', 'r_open', 'mfe_r', 'mae_r', 'filled_share', 'sessions_held', 'ambiguous', 'target_first'];

    #[ErisRepeat(repeat: 60)]
    public function testProperty1LaterBarsNeverChangeAnEarlierEvent(): void
    {
        $this->check(static function (RandomCase $case): void {
            $before = [];
            for ($read = 1; $read <= $case->sessions(); ++$read) {
                $events = array_values(array_filter(self::judge($case, read: $read)['events'], static fn (array $event): bool => $event['kind'] !== 'expired'));
                self::assertSame($before, array_slice($events, 0, count($before)));
                $before = $events;
            }
        });
    }

    #[ErisRepeat(repeat: 150)]
    public function testProperty2FeedingBarsOneByOneWithTheStateStoredEqualsFeedingThemAtOnce(): void
    {
        $this->check(static function (RandomCase $case): void {
            $request = $case->request();
            $engine = new OutcomeEngine();
            $state = RunStore::save($request->runs()[0]);
            foreach ($request->bars as $bar) {
                $stored = json_decode(json_encode($state, JSON_THROW_ON_ERROR), true, 32, JSON_THROW_ON_ERROR);
                self::assertIsArray($stored);
                $run = RunStore::load($stored, $request->setups[0], $request->runs()[0]->terms);
                $engine->outcome($run, $bar->end); // asking in between changes nothing
                $engine->feed($run, $bar, $request->finer);
                $state = RunStore::save($run);
            }
            $run = RunStore::load($state, $request->setups[0], $request->runs()[0]->terms);

            self::assertSame($request->answer($engine)[0]->toArray(), $engine->outcome($run, $request->asOf)->toArray());
        });
    }

    #[ErisRepeat(repeat: 150)]
    public function testABarThatPassesASetupByDoesNothingAtItsOpenOrInside(): void
    {
        $this->check(static function (RandomCase $case): void {
            $request = $case->request();
            $engine = new OutcomeEngine();
            $run = $request->runs()[0];
            foreach ($request->bars as $bar) {
                $long = $engine->begin($run, $bar);
                if ($long === null) {
                    continue;
                }
                $waited = $run->isWaiting();
                $passed = $run->isPassedBy($long);
                $before = RunStore::save($run);
                $engine->open($run, $long);
                $engine->inside($run, $long, $request->finer);
                if ($passed) {
                    self::assertSame($before, RunStore::save($run));
                }
                $engine->close($run, $long, $waited);
            }

            self::assertSame($request->answer($engine)[0]->toArray(), $engine->outcome($run, $request->asOf)->toArray());
        });
    }

    #[ErisRepeat(repeat: 150)]
    public function testProperty3AShortOnMirroredPricesGivesTheSameAsTheLong(): void
    {
        $this->check(static function (RandomCase $case): void {
            $long = self::judge($case);
            $short = self::judge($case, pivot: 30_000);

            self::assertSame(self::figures($long), self::figures($short));
            self::assertSame(array_map(self::shape(...), $long['events']), array_map(self::shape(...), $short['events']));
        }, percents: false);
    }

    #[ErisRepeat(repeat: 120)]
    public function testProperty4ScalingAllPricesChangesNoR(): void
    {
        $this->check(static function (RandomCase $case): void {
            self::assertSame(self::figures(self::judge($case)), self::figures(self::judge($case, scale: 10)));
        });
    }

    #[ErisRepeat(repeat: 120)]
    public function testProperty5WithTheStopOutOfReachRIsTheMoveSinceTheFill(): void
    {
        $this->check(static function (RandomCase $case): void {
            $risk = 8_000;
            $result = self::judge($case, bare: $risk);
            if ($result['status'] !== 'open') {
                return;
            }
            $bars = $case->input()['bars'];
            $close = (float) $bars[count($bars) - 1][5];
            $planned = self::plannedRisk($case->request(bare: $risk)->setups[0], $result);

            self::assertEqualsWithDelta(($close - (float) $result['average_fill']) * (float) $result['filled_share'] / $planned, (float) $result['r'], 0.0001);
        });
    }

    #[ErisRepeat(repeat: 150)]
    public function testProperties6And7FillsAndExitsLieWithinTheirBarsAndAddUp(): void
    {
        $this->check(static function (RandomCase $case): void {
            $result = self::judge($case);
            $input = $case->input();
            $open = 0.0;
            foreach ($result['events'] as $event) {
                if (! in_array($event['kind'], ['fill', 'target', 'stop', 'time', 'open_exit', 'ended'], true)) {
                    continue;
                }
                $bars = array_filter([...$input['bars'], ...$input['finer']['bars']], static fn (array $bar): bool => $bar[0] === $event['at']);
                $within = array_filter($bars, static fn (array $bar): bool => (float) $event['price'] <= (float) $bar[3] && (float) $event['price'] >= (float) $bar[4]);
                self::assertNotEmpty($within, "{$event['kind']} at {$event['price']} lies outside its bar");
                $open += ($event['kind'] === 'fill' ? 1 : -1) * (float) $event['share'];
                self::assertGreaterThanOrEqual(-1e-9, $open);
            }
            if ($result['status'] === 'closed') {
                self::assertEqualsWithDelta(0.0, $open, 1e-9);
            }
        });
    }

    #[ErisRepeat(repeat: 150)]
    public function testProperty8FinerBarsChangeNothingUnlessABarIsAmbiguousWithoutThem(): void
    {
        $this->check(static function (RandomCase $case): void {
            $coarse = self::judge($case, finer: false);
            $fine = self::judge($case);
            if ($coarse['ambiguous'] === false) {
                self::assertSame($coarse, $fine);

                return;
            }
            $assumedAt = null;
            foreach ($coarse['events'] as $event) {
                if ($event['assumed']) {
                    $assumedAt = $event['at'];
                    break;
                }
            }
            $earlier = static fn (array $result): array => array_values(array_filter($result['events'], static fn (array $event): bool => $event['at'] < $assumedAt));
            self::assertSame($earlier($coarse), $earlier($fine));
        });
    }

    private function check(callable $property, bool $percents = true): void
    {
        $this->minimumEvaluationRatio(0.0);
        $this->forAll(Generators::choose(1, 1_000_000_000))->then(static fn (int $seed) => $property(new RandomCase($seed, percents: $percents)));
    }

    /**
     * Legs that fill at an open count with that open, or not at all.
     *
     * @param array<string, mixed> $result
     */
    private static function plannedRisk(Setup $setup, array $result): float
    {
        $fills = [];
        foreach ($result['events'] as $event) {
            if ($event['kind'] === 'fill') {
                $fills[$event['leg']] = (int) round(100 * (float) $event['price']);
            }
        }
        $risk = 0.0;
        foreach ($setup->legs as $leg) {
            $price = $leg->trigger->plannedPrice() ?? $fills[$leg->name] ?? null;
            $risk += $price === null ? 0.0 : $leg->share->toFloat() * abs($price - $setup->stop) / 100;
        }

        return $risk;
    }

    /** @return array<string, mixed> */
    private static function judge(RandomCase $case, mixed ...$options): array
    {
        return $case->request(...$options)->answer(new OutcomeEngine())[0]->toArray();
    }

    /**
     * @param array<string, mixed> $result
     *
     * @return array<string, mixed>
     */
    private static function figures(array $result): array
    {
        return array_intersect_key($result, array_flip(self::FIGURES));
    }

    /**
     * @param array<string, mixed> $event
     *
     * @return array<string, mixed>
     */
    private static function shape(array $event): array
    {
        unset($event['price']);
        // what is above its average for one side is below it for the other
        if (str_starts_with((string) ($event['reason'] ?? ''), 'average_')) {
            $event['reason'] = 'average';
        }

        return $event;
    }
}
