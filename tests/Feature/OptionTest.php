<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Candidate;
use App\Publishing\EditionReader;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use Tests\World;

final class OptionTest extends TestCase
{
    use World;

    private const TERMS = ['shape' => 'vertical', 'right' => 'call', 'expiry' => '2024-12-20', 'multiplier' => '100', 'strikes' => ['40', '45'], 'premiums' => ['3', '1']];

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author);
    }

    public function testAnIdeaIsPlannedInOptionsToldAtExpiryAndTakenAway(): void
    {
        $option = $this->option(self::TERMS)->assertOk()->json('setup.option');
        self::assertIsArray($option);
        $figures = array_column($option['figures'], 'value', 'label');
        self::assertSame(['200 QUD', '−200 QUD', '+300 QUD', '42'], [$figures['Costs'], $figures['Greatest loss'], $figures['Greatest gain'], $figures['Breaks even']]);
        // half a percent of 100,000 is 500
        self::assertSame('2 contracts', $figures['Size']);
        self::assertSame('Buy the 40 call at 3 and sell the 45 call at 1, both of 20 Dec 2024; at most 200 QUD can be lost on each.', $option['sentence']);
        self::assertEqualsCanonicalizing(['corner', 'break_even', 'stop', 'entry', 'target'], array_values(array_unique(array_column($option['points'], 'kind'))));
        self::assertSame([], $option['warnings']);

        $this->option(null)->assertOk()->assertJsonPath('setup.option', null);
        $this->postJson('/plan/undo');
        $this->getJson("/plan/mark/{$this->candidate->id}/workbench")->assertJsonPath('setup.option.shape', 'vertical');
    }

    public function testWhatCannotGainAndWhatExpiresTooEarlyIsWarnedOf(): void
    {
        $this->option(['premiums' => ['6', '1'], 'expiry' => '2024-11-21'] + self::TERMS)->assertOk()
            ->assertJsonPath('setup.option.warnings', ['It can gain nothing: it costs as much as it can ever be worth.', 'It expires on 21 Nov 2024, before the setup is over.']);
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('faults')]
    public function testTermsThatMakeNoPositionAreRefusedAtTheirField(array $change, string $field): void
    {
        $this->option($change + self::TERMS)->assertStatus(422)->assertJsonValidationErrors($field);
        $this->getJson("/plan/mark/{$this->candidate->id}/workbench")->assertJsonPath('setup.option', null);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function faults(): iterable
    {
        yield 'no date' => [['expiry' => 'soon'], 'option.expiry'];
        yield 'expired' => [['expiry' => '2024-11-01'], 'option.expiry'];
        yield 'one strike twice' => [['strikes' => ['40', '40']], 'option.strikes.1'];
        yield 'a strike is missing' => [['strikes' => ['40']], 'option.strikes.1'];
        yield 'premium in words' => [['premiums' => ['much', '1']], 'option.premiums.0'];
        yield 'unknown shape' => [['shape' => 'condor'], 'option.shape'];
        yield 'no multiplier' => [['multiplier' => '0'], 'option.multiplier'];
    }

    public function testItIsSealedAndShownToReaders(): void
    {
        $this->option(self::TERMS);
        $edition = $this->publish();
        self::assertEquals(self::TERMS, app(EditionReader::class)->document($edition)['candidates'][0]['setups'][0]['option'] ?? null);
        $this->actingAs($this->harbour)->get("/editions/{$edition->number}")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('edition.parts.0.setups.0.option.strikes', ['40', '45'])
            ->where('edition.parts.0.setups.0.option.figures.0.value', '200 QUD'));
    }

    public function testItNeedsASetupBesideWhichItStands(): void
    {
        $blank = $this->candidate('TARN.Q');
        $this->patchJson("/plan/mark/{$blank->id}/option", ['option' => self::TERMS])->assertJsonValidationErrors('option');
    }

    /**
     * @param array<string, mixed>|null $terms
     *
     * @return TestResponse<Response>
     */
    private function option(?array $terms): TestResponse
    {
        return $this->patchJson("/plan/mark/{$this->candidate->id}/option", ['option' => $terms]);
    }
}
