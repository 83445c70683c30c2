<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\ChangeSetup;
use App\Actions\KeepSetting;
use App\Planning\Exposure;
use App\Planning\Variant;
use App\Reading\ExchangeRates;
use App\Reading\Limits;
use Tests\TestCase;
use Tests\World;

final class ExposureTest extends TestCase
{
    use World;

    /** @return list<string> */
    protected function symbols(): array
    {
        return ['OAKL.Q', 'TARN.Q', 'GRIT.Q', 'PINE.Q', 'QUSK.Q', 'FLQU.Q', 'SKDO.Q'];
    }

    public function testMuchOnOneSideOrInOneGroupIsWarnedOf(): void
    {
        $this->actingAs($this->author);
        foreach (['OAKL.Q', 'TARN.Q', 'GRIT.Q'] as $symbol) {
            $this->planned($symbol);
        }
        self::assertSame([], app(Exposure::class)->warnings($this->plan(), new Limits(groupMost: 3)), 'three are too few to speak of a share');
        $short = $this->candidate('PINE.Q');
        app(ChangeSetup::class)(new Variant($short), ['side' => 'short', 'entry' => $this->price('PINE.Q', 0.01), 'stop' => $this->price('PINE.Q', 0.04)]);
        self::assertSame([], app(Exposure::class)->warnings($this->plan(), new Limits(sideShare: 75)), 'three of four are 75 %');
        $warnings = app(Exposure::class)->warnings($this->plan(), new Limits(sideShare: 70));
        self::assertSame(['3 of the 4 planned candidates are long: more than your 70 % on one side.'], $warnings);
        self::assertSame([], app(Exposure::class)->warnings($this->plan(), new Limits(sideShare: 70), $short), 'it is on the other side');

        $group = $this->instrument('OAKL.Q')->group;
        $this->instrument('TARN.Q')->update(['group' => $group]);
        self::assertContains("2 planned candidates are of the group {$group}: more than your 1.", app(Exposure::class)->warnings($this->plan(), new Limits(groupMost: 1)));
        app(KeepSetting::class)($this->author, Limits::NAME, ['relativeVolume' => 1.5, 'stretchAtr' => 3, 'deviations' => 2, 'streak' => 4, 'earningsSessions' => 10, 'turnover' => 0, 'brokenFor' => 40, 'farAt' => 15, 'farFor' => 20, 'groupMost' => 1]);
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('check', fn ($lines): bool => self::items($lines)->contains(fn (array $line): bool => ! $line['stops'] && str_contains($line['message'], "of the group {$group}"))));
    }

    public function testASizeIsToldInTheCurrencyOfTheAccountByAListedPair(): void
    {
        $rates = app(ExchangeRates::class);
        $close = (float) $this->price('QUSK.Q', 0.0);
        self::assertEqualsWithDelta(1 / $close, $rates->of('SKE')?->rate->toFloat(), 1e-9);
        self::assertSame(['QUSK.Q', null], [$rates->of('SKE')?->pair, $rates->of('QUD')?->pair]);
        self::assertNull($rates->of('XYZ'));
        // 500 of the account are so many more of the other
        self::assertEqualsWithDelta(500 * $close, $rates->mayLoseIn('SKE', (new Limits())->account())?->toFloat(), 0.001);

        $candidate = $this->planned('QUSK.Q');
        $this->actingAs($this->author);
        $figures = $this->getJson("/plan/mark/{$candidate->id}/workbench")->json('setup.figures');
        self::assertIsArray($figures);
        $size = array_column($figures, 'note', 'label')['Size'] ?? '';
        self::assertStringContainsString('QUD', $size);
        self::assertStringEndsWith('by QUSK.Q', $size);
    }

    public function testWithoutAPairThereIsNoSizeAndItIsSaid(): void
    {
        $this->instrument('QUSK.Q')->update(['sector' => '']);
        $candidate = $this->planned('QUSK.Q');
        $this->actingAs($this->author);
        $figures = $this->getJson("/plan/mark/{$candidate->id}/workbench")->json('setup.figures');
        self::assertIsArray($figures);
        self::assertSame('not told', array_column($figures, 'value', 'label')['Size'] ?? null);
    }
}
