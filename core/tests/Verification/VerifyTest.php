<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Verification;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Console\VerifyCommand;
use Watchpost\Core\Json\CanonicalJson;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Tests\Outcomes\Scenario;

final class VerifyTest extends TestCase
{
    /** @var list<string> */
    private array $files = [];

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->files);
    }

    /** @return array{array<string, mixed>, string} an edition of one setup with what truly came of it, and its bars */
    private static function evidence(): array
    {
        $input = Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->costs(0, '0')->day('26.00/26.30/25.90/26.10')->day('26.10/28.40/26.00/28.20')->input();
        $outcome = OutcomeReader::read(Node::of($input))->answer(new OutcomeEngine())[0]->toArray();
        self::assertSame('closed', $outcome['status']);
        $edition = [
            'previous_seal' => null,
            'judged_on' => $input['timeframe'],
            'costs' => $input['costs'],
            'candidates' => [['instrument' => ['symbol' => 'BRKF.Q', 'decimals' => 2, 'tick' => '0.01'], 'setups' => [['key' => '1', 'rules' => $input['setup']]]], ['instrument' => ['symbol' => 'MOSS.Q']]],
        ];
        $bars = "symbol,start,session,open,high,low,close,volume\n";
        self::assertIsArray($input['bars']);
        foreach ($input['bars'] as $bar) {
            self::assertIsArray($bar);
            $bars .= 'BRKF.Q,'.implode(',', array_map(static fn (mixed $cell): string => is_scalar($cell) ? (string) $cell : '', $bar))."\n";
        }

        return [[
            'format' => 'watchpost-evidence-1',
            'seal' => hash('sha256', CanonicalJson::encode($edition)),
            'edition' => $edition,
            'claims' => ['1' => ['as_of' => $input['as_of'], 'from' => '2000-01-01T00:00:00Z', 'outcome' => $outcome]],
            'sessions' => ['BRKF.Q' => $input['sessions'] ?? []],
            'splits' => [],
        ], $bars];
    }

    public function testWhatIsTrueIsAsClaimed(): void
    {
        [$evidence, $bars] = self::evidence();
        [$code, $out, $err] = $this->verify($evidence, $bars);

        self::assertSame([0, ''], [$code, $err]);
        self::assertStringContainsString('as claimed  seal: ', $out);
        self::assertStringContainsString('as claimed  chain: the first of its chain', $out);
        self::assertStringContainsString('as claimed  setup 1, BRKF.Q: closed, 2.5000 R', $out);
        self::assertStringEndsWith("All of it is as claimed.\n", $out);
    }

    public function testTheResultAsManagedIsRecomputedWithTheUpdates(): void
    {
        [$evidence, $bars] = self::evidence();
        $input = Scenario::touch('long', '26.00', '25.20')->targets(['28.00' => '1'])->costs(0, '0')->day('26.00/26.30/25.90/26.10')->day('26.10/28.40/26.00/28.20')->input();
        $update = ['at' => '2026-10-15T16:00:00Z', 'kind' => 'exit', 'share' => '1'];
        $managed = OutcomeReader::read(Node::of(['updates' => [$update]] + $input))->answer(new OutcomeEngine())[0]->toArray();
        self::assertNotSame('2.5000', $managed['r']);
        $evidence['updates'] = ['1' => [$update]];
        self::assertIsArray($evidence['claims']);
        $evidence['claims']['1'] += ['managed' => $managed];

        [$code, $out] = $this->verify($evidence, $bars);
        self::assertSame(0, $code, $out);
        self::assertStringContainsString("as claimed  setup 1, BRKF.Q, as managed: closed, {$managed['r']} R", $out);
        $evidence['updates']['1'][0]['share'] = '0.5';
        [$code, $out] = $this->verify($evidence, $bars);
        self::assertSame(1, $code, $out);
        self::assertStringContainsString('DIFFERS     setup 1, BRKF.Q, as managed', $out);
        self::assertStringContainsString('as claimed  setup 1, BRKF.Q: closed, 2.5000 R', $out);
    }

    /** @param callable(array<string, mixed>, string): array{array<string, mixed>, string} $change */
    #[DataProvider('lies')]
    public function testWhatIsNotTrueIsTold(callable $change, string $says): void
    {
        [$code, $out] = $this->verify(...$change(...self::evidence()));

        self::assertSame(1, $code, $out);
        self::assertStringContainsString($says, $out);
        self::assertStringEndsWith("differ from what is claimed.\n", $out);
    }

    /** @return iterable<string, array{callable(array<string, mixed>, string): array{array<string, mixed>, string}, string}> */
    public static function lies(): iterable
    {
        $set = static fn (string $path, mixed $value): callable => static function (array $evidence, string $bars) use ($path, $value): array {
            $at = &$evidence;
            foreach (explode('/', $path) as $key) {
                $at = &$at[$key];
            }
            $at = $value;

            return [$evidence, $bars];
        };
        yield 'a better result' => [$set('claims/1/outcome/r', '3.0000'), 'setup 1, BRKF.Q: r is 2.5000 by the rules, claimed 3.0000'];
        yield 'another status' => [$set('claims/1/outcome/status', 'open'), 'status is closed by the rules, claimed open'];
        yield 'an event left out' => [$set('claims/1/outcome/events', []), 'the events'];
        yield 'a document that was changed' => [$set('edition/candidates/0/setups/0/rules/stop/price', '25.00'), 'DIFFERS     seal: the document gives '];
        yield 'a setup of which nothing is said' => [$set('claims', ['2' => ['as_of' => '2026-11-20T16:00:00Z', 'from' => '2000-01-01T00:00:00Z', 'outcome' => []]]), 'nothing is claimed of it'];
        yield 'other bars' => [static fn (array $evidence, string $bars): array => [$evidence, str_replace('28.40', '27.90', str_replace('28.20', '27.80', $bars))], 'status is open by the rules, claimed closed'];
        yield 'a chain that names another' => [static function (array $evidence, string $bars): array {
            $evidence['edition']['previous_seal'] = str_repeat('0', 64);
            $evidence['seal'] = hash('sha256', CanonicalJson::encode($evidence['edition']));

            return [$evidence, $bars, self::evidence()[0]];
        }, 'DIFFERS     chain: it names 0000'];
    }

    public function testTheEditionBeforeClosesTheChain(): void
    {
        [$first, $bars] = self::evidence();
        $second = $first;
        self::assertIsArray($second['edition']);
        $second['edition'] = ['previous_seal' => $first['seal']] + $second['edition'];
        $second['seal'] = hash('sha256', CanonicalJson::encode($second['edition']));

        self::assertStringContainsString('as claimed  chain: it names the edition before it', $this->verify($second, $bars, $first)[1]);
        self::assertStringContainsString('give the edition before it with --previous', $this->verify($second, $bars)[1]);
    }

    public function testFilesThatAreNotWhatTheyShouldBeAreToldWithTheirPath(): void
    {
        [$evidence, $bars] = self::evidence();
        self::assertStringContainsString('"path":"bars.1"', $this->verify($evidence, "date,price\n")[2]);
        self::assertStringContainsString('"path":"bars.2"', $this->verify($evidence, "symbol,start,session,open,high,low,close,volume\nBRKF.Q,1\n")[2]);
        self::assertStringContainsString('"path":"edition.seal"', $this->verify(array_diff_key($evidence, ['seal' => 1]), $bars)[2]);
        self::assertStringContainsString('"path":"edition.format"', $this->verify(['format' => 'x'] + $evidence, $bars)[2]);
        self::assertSame([2, '', '{"error":{"path":"edition","message":"/nowhere cannot be read"}}'."\n"], $this->run_(['/nowhere', '--bars', $this->file($bars)]));
        self::assertSame(2, $this->run_(['--what'])[0]);
        self::assertSame(2, $this->run_([$this->file('[1]'), '--bars', $this->file($bars)])[0]);
    }

    /**
     * @param array<string, mixed>      $evidence
     * @param array<string, mixed>|null $previous
     *
     * @return array{int, string, string}
     */
    private function verify(array $evidence, string $bars, ?array $previous = null): array
    {
        $json = static fn (array $data): string => json_encode($data, JSON_THROW_ON_ERROR);

        return $this->run_([$this->file($json($evidence)), '--bars', $this->file($bars), ...($previous === null ? [] : ['--previous', $this->file($json($previous))])]);
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{int, string, string}
     */
    private function run_(array $arguments): array
    {
        $out = fopen('php://memory', 'w+');
        $err = fopen('php://memory', 'w+');
        self::assertIsResource($out);
        self::assertIsResource($err);
        $code = (new VerifyCommand())->run($arguments, $out, $err);

        return [$code, (string) stream_get_contents($out, offset: 0), (string) stream_get_contents($err, offset: 0)];
    }

    private function file(string $content): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'verify');
        file_put_contents($file, $content);

        return $this->files[] = $file;
    }
}
