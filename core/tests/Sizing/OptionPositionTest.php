<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Sizing;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Setups\Problem;
use Watchpost\Core\Sizing\OptionPosition;
use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;

final class OptionPositionTest extends TestCase
{
    /**
     * @param list<string> $strikes
     * @param list<string> $premiums
     */
    private static function position(OptionShape $shape, OptionRight $right, array $strikes, array $premiums, string $multiplier = '100'): OptionPosition
    {
        return OptionPosition::of($shape, $right, array_map(BigDecimal::of(...), $strikes), array_map(BigDecimal::of(...), $premiums), BigDecimal::of($multiplier));
    }

    /**
     * Worked by hand.
     *
     * @param list<string>          $strikes
     * @param list<string>          $premiums
     * @param list<string>          $breakEvens
     * @param list<array{string, string}> $gains  price and gain
     */
    #[DataProvider('positions')]
    public function testWhatItCostsAndCanBringAtExpiry(OptionShape $shape, OptionRight $right, array $strikes, array $premiums, string $cost, string $loss, ?string $gain, array $breakEvens, array $gains): void
    {
        $position = self::position($shape, $right, $strikes, $premiums);
        $same = static fn (string $expected, ?BigDecimal $found): bool => $found?->isEqualTo($expected) === true;

        self::assertTrue($same($cost, $position->cost()), "cost {$position->cost()}");
        self::assertTrue($same($loss, $position->greatestLoss()), "loss {$position->greatestLoss()}");
        self::assertSame($gain === null, $position->greatestGain() === null);
        self::assertTrue($gain === null || $same($gain, $position->greatestGain()), "gain {$position->greatestGain()}");
        self::assertSame($breakEvens, array_map(strval(...), $position->breakEvens()));
        foreach ($gains as [$price, $expected]) {
            self::assertTrue($same($expected, $position->gainAt(BigDecimal::of($price))), "gain at {$price}: {$position->gainAt(BigDecimal::of($price))}");
        }
    }

    /** @return iterable<string, array{OptionShape, OptionRight, list<string>, list<string>, string, string, ?string, list<string>, list<array{string, string}>}> */
    public static function positions(): iterable
    {
        yield 'long call' => [OptionShape::LongOption, OptionRight::Call, ['42'], ['1.35'], '135', '-135', null, ['43.35'], [['40', '-135'], ['43', '-35'], ['46.35', '300']]];
        yield 'long put' => [OptionShape::LongOption, OptionRight::Put, ['42'], ['2'], '200', '-200', '4000', ['40'], [['45', '-200'], ['38.5', '150']]];
        yield 'call vertical that is paid for' => [OptionShape::Vertical, OptionRight::Call, ['40', '45'], ['3', '1'], '200', '-200', '300', ['42'], [['39', '-200'], ['43', '100'], ['50', '300']]];
        yield 'put vertical that is paid for' => [OptionShape::Vertical, OptionRight::Put, ['45', '40'], ['3.5', '1.5'], '200', '-200', '300', ['43'], [['46', '-200'], ['41', '200'], ['30', '300']]];
        yield 'put vertical that takes in' => [OptionShape::Vertical, OptionRight::Put, ['40', '45'], ['1', '2.5'], '-150', '-350', '150', ['43.5'], [['46', '150'], ['44', '50'], ['35', '-350']]];
        yield 'butterfly' => [OptionShape::Butterfly, OptionRight::Call, ['40', '45', '50'], ['6', '3', '1'], '100', '-100', '400', ['41', '49'], [['38', '-100'], ['45', '400'], ['47', '200'], ['60', '-100']]];
        yield 'butterfly with a wider upper wing' => [OptionShape::Butterfly, OptionRight::Call, ['40', '45', '52'], ['6', '3', '0.5'], '50', '-250', '450', ['40.5', '49.5'], [['52', '-250'], ['80', '-250']]];
        yield 'a break-even between two hundredths' => [OptionShape::LongOption, OptionRight::Call, ['42'], ['0.005'], '0.5', '-0.5', null, ['42.005'], []];
    }

    public function testAContractHasItsOwnMultiplier(): void
    {
        $position = self::position(OptionShape::LongOption, OptionRight::Call, ['42'], ['1.35'], '10');

        self::assertTrue($position->greatestLoss()->isEqualTo('-13.5'));
        self::assertSame(['43.35'], array_map(strval(...), $position->breakEvens()));
    }

    /**
     * @param list<string> $strikes
     * @param list<string> $premiums
     */
    #[DataProvider('faults')]
    public function testFiguresThatMakeNoPositionAreTold(OptionShape $shape, array $strikes, array $premiums, string $multiplier, string $path): void
    {
        $problems = OptionPosition::problems($shape, array_map(BigDecimal::of(...), $strikes), array_map(BigDecimal::of(...), $premiums), BigDecimal::of($multiplier));

        self::assertSame($path, array_map(static fn (Problem $problem): string => $problem->path, $problems)[0] ?? null);
        $this->expectException(\InvalidArgumentException::class);
        self::position($shape, OptionRight::Call, $strikes, $premiums, $multiplier);
    }

    /** @return iterable<string, array{OptionShape, list<string>, list<string>, string, string}> */
    public static function faults(): iterable
    {
        yield 'no strike' => [OptionShape::LongOption, [], ['1'], '100', 'strikes.0'];
        yield 'strike of nothing' => [OptionShape::LongOption, ['0'], ['1'], '100', 'strikes.0'];
        yield 'premium below 0' => [OptionShape::LongOption, ['40'], ['-1'], '100', 'premiums.0'];
        yield 'one strike of two' => [OptionShape::Vertical, ['40'], ['1', '1'], '100', 'strikes.1'];
        yield 'the same strike twice' => [OptionShape::Vertical, ['40', '40.0'], ['1', '1'], '100', 'strikes.1'];
        yield 'strikes that do not rise' => [OptionShape::Butterfly, ['40', '50', '45'], ['1', '1', '1'], '100', 'strikes.1'];
        yield 'a contract of nothing' => [OptionShape::LongOption, ['40'], ['1'], '0', 'multiplier'];
    }
}
