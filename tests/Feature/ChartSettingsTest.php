<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Market\BarRepository;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Sma;

final class ChartSettingsTest extends TestCase
{
    use World;

    /** @return list<string> */
    protected function symbols(): array
    {
        return ['NORD.Q', 'OAKL.Q'];
    }

    public function testAveragesAndPanesAreThoseSwitchedOnAndKeptForTheAuthor(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author)->get("/plan/mark/{$candidate->id}")->assertInertia(fn (AssertableInertia $page) => $page->has('chart.averages', 2)->where('chart.panes.0.kind', 'volume'));

        $this->patch('/settings/chart', $this->settings(['rsi', 'ratio']))->assertRedirect();
        $closes = app(BarRepository::class)->days($this->instrument('OAKL.Q'), 400)->closes();
        $sma = Sma::of($closes, 5);
        $rsi = Rsi::of($closes, 9);

        $this->actingAs($this->assistant)->get("/plan/mark/{$candidate->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->has('chart.averages', 1)
            ->where('chart.averages.0.name', 'SMA 5')
            ->where('chart.averages.0.values', fn ($values): bool => abs(self::items($values)->last() - $sma[count($sma) - 1]) < 1e-9)
            ->where('chart.panes.0.label', 'RSI 9')
            ->where('chart.panes.0.guides', [25, 75])
            ->where('chart.panes.0.lines.0.values', fn ($values): bool => abs(self::items($values)->last() - $rsi[count($rsi) - 1]) < 1e-9)
            ->where('chart.panes.1.label', 'OAKL.Q / NORD.Q')
            ->where('settings.panes.1.symbol', 'NORD.Q'));
    }

    public function testEveryPaneHasOneValueForEachBarOnEveryTimeFrame(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author);
        foreach ([['volume', 'rsi', 'macd'], ['stochastic', 'directional_movement', 'z_score'], ['ratio']] as $kinds) {
            $this->patch('/settings/chart', $this->settings($kinds));
            foreach (['5m', '30m', '1h', '4h', '1d', '1w', '1mo', '3mo'] as $frame) {
                $chart = $this->get("/plan/mark/{$candidate->id}?frame={$frame}")->assertOk()->inertiaProps('chart');
                self::assertCount(count($kinds), $chart['panes']);
                foreach ($chart['panes'] as $pane) {
                    self::assertNotSame([], $pane['lines'], "{$pane['kind']} on {$frame}");
                    foreach ($pane['lines'] as $line) {
                        self::assertCount(count($chart['close']), $line['values'], "{$pane['kind']} {$line['name']} on {$frame}");
                    }
                }
            }
        }
    }

    public function testWhatMakesNoSenseIsRefusedWithTheReason(): void
    {
        $this->actingAs($this->author);
        $this->patch('/settings/chart', [...$this->settings(['volume']), 'averages' => [['kind' => 'sma', 'period' => 900]]])->assertSessionHasErrors(['averages.0.period' => 'An average is taken over 2 to 400 bars.']);
        $this->patch('/settings/chart', $this->settings(['volume', 'rsi', 'macd', 'z_score']))->assertSessionHasErrors(['panes' => 'At most 3 panes are shown at once.']);
        $bad = $this->settings(['ratio']);
        $bad['panes'][0]['symbol'] = 'NONE.Q';
        $this->patch('/settings/chart', $bad)->assertSessionHasErrors(['panes.0.symbol' => 'There is no instrument NONE.Q to compare with.']);
        $this->assertDatabaseCount('author_settings', 0);
    }

    /**
     * @param list<string> $kinds of panes
     *
     * @return array<string, mixed>
     */
    private function settings(array $kinds): array
    {
        return [
            'averages' => [['kind' => 'sma', 'period' => 5]],
            'panes' => array_map(static fn (string $kind): array => [
                'kind' => $kind,
                'parameters' => $kind === 'rsi' ? ['period' => 9, 'low' => 25, 'high' => 75] : [],
                'symbol' => $kind === 'ratio' ? 'NORD.Q' : null,
            ], $kinds),
            'extended' => false,
        ];
    }
}
