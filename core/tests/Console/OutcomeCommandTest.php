<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Console;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Tests\Outcomes\Scenario;

/** The command line as a person runs it. */
final class OutcomeCommandTest extends TestCase
{
    public function testAnOutcomeGoesToStandardOutput(): void
    {
        $input = Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->costs(0, '0')->day('26.00/26.30/25.90/26.10')->input();
        [$code, $out, $err] = Watchpost::run('outcome', json_encode($input, JSON_THROW_ON_ERROR));

        self::assertSame([0, ''], [$code, $err]);
        $result = json_decode($out, true, 16, JSON_THROW_ON_ERROR);
        self::assertIsArray($result);
        self::assertSame(
            ['status', 'r', 'r_realised', 'r_open', 'percent', 'per_unit', 'average_fill', 'filled_share', 'mfe_r', 'mae_r', 'sessions_held', 'first_fill_at', 'closed_at', 'ambiguous', 'missed_by', 'target_first', 'stop', 'events'],
            array_keys($result),
        );
        self::assertSame(
            [['at' => '2026-10-15T08:30:00Z', 'session' => '2026-10-15', 'kind' => 'fill', 'leg' => 'entry', 'price' => '26.00', 'share' => '1', 'gap' => false, 'assumed' => false]],
            $result['events'],
        );
    }

    public function testBadInputGoesToStandardErrorWithItsPath(): void
    {
        [$code, $out, $err] = Watchpost::run('outcome', '{"instrument": {"decimals": 2}}');

        self::assertSame([2, ''], [$code, $out]);
        self::assertSame(['error' => ['path' => 'setup', 'message' => 'is required']], json_decode($err, true, 8, JSON_THROW_ON_ERROR));
    }

    public function testTextThatIsNotJsonIsBadInputToo(): void
    {
        [$code, $out, $err] = Watchpost::run('outcome', '{"instrument": ');

        self::assertSame([2, ''], [$code, $out]);
        self::assertStringContainsString('not valid JSON', $err);
    }
}
