<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Eris\Attributes\ErisRepeat;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;

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
            $state = RunStore::save(new SetupRun($request->setup, $request->grid, Costs::none()));
            foreach ($request->bars as $bar) {
                $stored = json_decode(json_encode($state, JSON_THROW_ON_ERROR), true, 32, JSON_THROW_ON_ERROR);
                self::assertIsArray($stored);
                $run = RunStore::load($stored, $request->setup, $request->grid, Costs::none());
                $engine->outcome($run, $bar->end, $request->sessions); // asking in between changes nothing
                $engine->feed($run, $bar, $request->finer);
                $state = RunStore::save($run);
            }
            $run = RunStore::load($state, $request->setup, $request->grid, Costs::none());

            self::assertSame($request->answer($engine)->toArray(), $engine->outcome($run, $request->asOf, $request->sessions)->toArray());
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
        });
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
            $result = self::judge($case, risk: $risk, targets: false);
            if ($result['status'] !== 'open') {
                return;
            }
            $bars = $case->input()['bars'];
            $close = (float) $bars[count($bars) - 1][5];
            $planned = $case->request(risk: $risk, targets: false)->setup->plannedRisk()->toFloat() / 100;

            self::assertEqualsWithDelta(($close - (float) $result['average_fill']) / $planned, (float) $result['r'], 0.0001);
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
                if (! in_array($event['kind'], ['fill', 'target', 'stop'], true)) {
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

    private function check(callable $property): void
    {
        $this->minimumEvaluationRatio(0.0);
        $this->forAll(Generators::choose(1, 1_000_000_000))->then(static fn (int $seed) => $property(new RandomCase($seed)));
    }

    /** @return array<string, mixed> */
    private static function judge(RandomCase $case, mixed ...$options): array
    {
        return $case->request(...$options)->answer(new OutcomeEngine())->toArray();
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

        return $event;
    }
}
