<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

final class SentenceTest extends TestCase
{
    /** @param array<string, mixed> $changes */
    #[DataProvider('setups')]
    public function testTheSetupReadsAsASentence(array $changes, string $expected): void
    {
        $grid = new PriceGrid(2);
        $draft = (new Draft(Side::Long, [new DraftLeg(TriggerKind::Touch, 4120)], 3985, [], 5))->replace($changes);
        $setup = $draft->toSetup($grid, (int) strtotime('2026-10-14T18:00:00Z'), (int) strtotime('2026-10-21T15:00:00Z'));

        self::assertSame($expected, (new Sentence($grid, new \DateTimeZone('Atlantic/Faroe')))->of($setup));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function setups(): iterable
    {
        $end = 'good until 16:00 on Wednesday 21 October';
        $halves = [new DraftTarget(4400, '0.5'), new DraftTarget(4650, '0.5')];
        yield 'touch with tolerance, two targets' => [
            ['legs' => [new DraftLeg(TriggerKind::Touch, 4120, 5)], 'targets' => $halves],
            "Long when price falls to 41.20 or within 0.05 of it; stop 39.85; half off at 44.00, the rest at 46.50; {$end}.",
        ];
        yield 'without a target' => [[], "Long when price falls to 41.20; stop 39.85; no target; {$end}."];
        yield 'one target for all' => [['targets' => [new DraftTarget(4400, '1')]], "Long when price falls to 41.20; stop 39.85; all off at 44.00; {$end}."];
        yield 'targets that leave some' => [
            ['targets' => [new DraftTarget(4400, '0.25'), new DraftTarget(4650, '0.3')]],
            "Long when price falls to 41.20; stop 39.85; a quarter off at 44.00, 30 % at 46.50, the rest with the stop; {$end}.",
        ];
        yield 'break that is not chased' => [
            ['legs' => [new DraftLeg(TriggerKind::Break, 4310, noChase: true)], 'targets' => $halves],
            "Long on a break: price rises to 43.10 or higher; an open above 43.10 is not chased; stop 39.85; half off at 44.00, the rest at 46.50; {$end}.",
        ];
        yield 'short touch with a cancel price' => [
            ['side' => Side::Short, 'legs' => [new DraftLeg(TriggerKind::Touch, 8400)], 'stop' => 8600, 'cancel' => 8650, 'targets' => [new DraftTarget(8000, '1')]],
            "Short when price rises to 84.00; stop 86.00; all off at 80.00; not entered any more once price has traded at 86.50; {$end}.",
        ];
        yield 'short break' => [
            ['side' => Side::Short, 'legs' => [new DraftLeg(TriggerKind::Break, 8000, noChase: true)], 'stop' => 8250],
            "Short on a break: price falls to 80.00 or lower; an open below 80.00 is not chased; stop 82.50; no target; {$end}.",
        ];
    }
}
