<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Market;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\FundTerms;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;

final class SplitTest extends TestCase
{
    public function testItIsToldInWholeUnits(): void
    {
        self::assertSame(['3 for 1', '1 for 10', '3 for 2'], array_map(static fn (string $ratio): string => Split::of('2026-10-20', $ratio)->label(), ['3', '0.1', '1.5']));
    }

    public function testOnlyBarsBeforeItAreDividedAndTheirVolumeGrows(): void
    {
        $bars = [self::bar('2026-10-16', 6200), self::bar('2026-10-20', 2070)];
        $adjusted = Split::adjust($bars, [Split::of('2026-10-20', '3')], '2026-10-20');

        self::assertSame([[2067, 300], [2070, 100]], array_map(static fn (Bar $bar): array => [$bar->close, $bar->volume], $adjusted));
        self::assertEquals($bars, Split::adjust($bars, [Split::of('2026-10-20', '3')], '2026-10-16'), 'seen from a day before it');
    }

    public function testSplitsMultiplyBetweenTwoDates(): void
    {
        $splits = [Split::of('2026-10-16', '2'), Split::of('2026-10-20', '1.5')];

        self::assertSame(['1', '2', '3', '3/2'], [
            (string) Split::between($splits, '2026-10-01', '2026-10-15'),
            (string) Split::between($splits, '2026-10-01', '2026-10-16'),
            (string) Split::between($splits, '2026-10-01', '2026-10-20'),
            (string) Split::between($splits, '2026-10-16', '2026-10-20'),
        ]);
    }

    public function testItNeedsARatioAboveNothing(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Split::of('2026-10-20', '0');
    }

    public function testAFundSaysHowItMoves(): void
    {
        self::assertSame(['follows', 'inverse', '2 times', 'inverse, 2 times'], array_map(static fn (int $multiple): string => (new FundTerms('NORD.Q', $multiple))->label(), [1, -1, 2, -2]));
        $this->expectException(\InvalidArgumentException::class);
        new FundTerms('NORD.Q', 0);
    }

    public function testBarsAroundTheSessionAreCountedFromItsOpenAndNeverJoinedWithIt(): void
    {
        $book = new SessionBook([new Session('2026-10-15', 36_000, 59_400)]);
        $at = static fn (int $start): Bar => new Bar($start, $start + 300, '2026-10-15', 10, 11, 9, 10, 1);
        $built = (new BarBuilder($book))->build([$at(34_500), $at(35_700), $at(36_000), $at(57_900), $at(59_100), $at(59_400), $at(60_900), $at(61_200)], TimeFrame::ThirtyMinutes);

        self::assertSame(
            [[34_200, 36_000], [36_000, 37_800], [57_600, 59_400], [59_400, 61_200], [61_200, 63_000]],
            array_map(static fn (Bar $bar): array => [$bar->start, $bar->end], $built),
        );
    }

    private static function bar(string $session, int $price): Bar
    {
        return new Bar(0, 1, $session, $price, $price, $price, $price, 100);
    }
}
