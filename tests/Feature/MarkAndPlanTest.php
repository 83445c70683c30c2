<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use Tests\World;

final class MarkAndPlanTest extends TestCase
{
    use World;

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->assistant);
    }

    public function testALevelIsMarkedNamedMovedAndDeleted(): void
    {
        $this->mark('59.00')->assertOk()->assertJsonPath('candidate.levelCount', 1);
        $level = Level::query()->firstOrFail();
        self::assertSame([5900, 'own reading', $this->author->id], [$level->price, $level->origin, $level->author_id]);

        $url = "/plan/mark/{$this->candidate->id}/levels/{$level->id}";
        $this->patchJson($url, ['price' => '59.25', 'origin' => 'gap edge', 'grade' => 'major'])->assertOk();
        self::assertSame([5925, 'gap edge', 'major'], [$level->refresh()->price, $level->origin, $level->grade->value]);

        $this->deleteJson($url)->assertOk();
        self::assertModelMissing($level);
    }

    #[DataProvider('wrongPrices')]
    public function testAPriceThatIsNoneIsRefusedWithWords(string $price, string $says): void
    {
        $response = $this->mark($price)->assertStatus(422);

        self::assertStringContainsString($says, (string) $response->json('errors.price.0'));
        self::assertSame(0, Level::query()->count());
    }

    /** @return iterable<array{string, string}> */
    public static function wrongPrices(): iterable
    {
        yield ['59,00', 'is not a price'];
        yield ['-5', 'is not a price'];
        yield ['0', 'above 0'];
        yield ['59.005', 'more than the 2 decimals'];
    }

    public function testTwoLevelsAtOnePriceAreRefused(): void
    {
        $this->mark('59.00')->assertOk();
        $this->mark('59.00')->assertStatus(422)->assertJsonValidationErrors(['price' => 'There is a level at 59.00 already.']);
    }

    public function testThreeKeysMakeASetupFromLevels(): void
    {
        $this->use($this->price('OAKL.Q', -0.01), 'entry')->assertJsonPath('setup.legs.0.kind', 'touch')->assertJsonPath('setup.missing', ['stop']);
        $this->use($this->price('OAKL.Q', -0.03), 'stop')->assertJsonPath('setup.missing', []);
        $response = $this->use($this->price('OAKL.Q', 0.04), 'target');

        $response->assertJsonPath('setup.targets.0.share', '1')->assertJsonPath('candidate.state', 'kept');
        self::assertStringStartsWith('Long when price falls to', (string) $response->json('setup.sentence'));
        self::assertSame(['target', 'last', 'entry', 'stop'], self::items($response->json('ladder'))->where('kind', '!=', 'found')->pluck('kind')->all());
        self::assertEqualsWithDelta(2.5, (float) $response->json('setup.targets.0.r'), 0.05);
    }

    public function testPricesInTheWrongOrderAreRefusedAtTheFieldAndTheDraftIsKept(): void
    {
        $this->change(['entry' => '60.00', 'stop' => '58.00'])->assertOk();

        $this->change(['stop' => '61.00'])->assertStatus(422)->assertJsonValidationErrors(['stop.price' => 'must be below the entry']);
        $this->change(['entry' => '57.00'])->assertStatus(422)->assertJsonValidationErrors('entry.price');
        $this->change(['targets' => [['price' => '59.00', 'share' => '1']]])->assertStatus(422)->assertJsonValidationErrors('targets.0.price');
        $this->use('57.00', 'target')->assertStatus(422)->assertJsonValidationErrors('targets.0.price');
        $this->change(['good_for' => 0])->assertStatus(422)->assertJsonValidationErrors('good_for');
        $this->getJson("/plan/mark/{$this->candidate->id}/workbench")->assertJsonPath('setup.legs.0.price', '60.00')->assertJsonPath('setup.stop', '58.00')->assertJsonPath('setup.targets', []);
    }

    public function testACandidateThatWasPassedIsKeptAgainOnceItIsPlanned(): void
    {
        $this->patchJson("/plan/candidates/{$this->candidate->id}", ['state' => 'passed', 'reason' => 'Too thin.', 'readers' => 'harbour']);
        $this->change(['entry' => '60.00'])->assertOk()->assertJsonPath('candidate.state', 'kept')->assertJsonPath('candidate.reason', '');
        $this->postJson('/plan/undo');

        self::assertSame(['passed', 'Too thin.'], [$this->candidate->refresh()->state->value, $this->candidate->reason]);
    }

    public function testAToleranceIsAPriceOrNone(): void
    {
        $this->change(['entry' => '60.00', 'within' => '0.10'])->assertJsonPath('setup.legs.0.within', '0.10');
        $this->change(['within' => 'some'])->assertStatus(422)->assertJsonValidationErrors('entry.within');
        $this->change(['within' => '0.00'])->assertJsonPath('setup.legs.0.within', '0.00');
        $this->change(['within' => null])->assertOk();
    }

    public function testTurningTheSideClearsWhatNoLongerFits(): void
    {
        $this->change(['entry' => '60.00', 'stop' => '58.00', 'targets' => [['price' => '66.00', 'share' => '1']]])->assertOk();
        $this->change(['side' => 'short'])->assertOk()->assertJsonPath('setup.legs.0.price', '60.00')->assertJsonPath('setup.stop', null)->assertJsonPath('setup.targets', []);
    }

    public function testEveryChangeCanBeUndoneAndMadeAgain(): void
    {
        $this->mark('59.00');
        $this->change(['entry' => '60.00', 'stop' => '58.00']);
        $this->change(['stop' => '57.50']);
        $stop = fn (): mixed => $this->getJson("/plan/mark/{$this->candidate->id}/workbench")->json('setup.stop');

        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: stop of OAKL.Q.')->assertJsonPath('candidateId', $this->candidate->id);
        self::assertSame('58.00', $stop());
        $this->postJson('/plan/undo');
        self::assertNull($stop());
        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: mark 59.00 on OAKL.Q.');
        self::assertSame(0, Level::query()->count());
        $this->postJson('/plan/redo');
        $this->postJson('/plan/redo');
        $this->postJson('/plan/redo');
        self::assertSame(['57.50', 1], [$stop(), Level::query()->count()]);
        $this->postJson('/plan/redo')->assertJsonPath('message', null);
    }

    public function testANewChangeEndsWhatCouldBeMadeAgain(): void
    {
        $this->mark('59.00');
        $this->postJson('/plan/undo');
        $this->mark('59.50');

        $this->postJson('/plan/redo')->assertJsonPath('message', null);
        self::assertSame([5950], Level::query()->pluck('price')->all());
    }

    public function testARemovedCandidateComesBackWithItsSetup(): void
    {
        $this->change(['entry' => '60.00', 'stop' => '58.00']);
        $this->deleteJson("/plan/candidates/{$this->candidate->id}");
        self::assertModelMissing($this->candidate);

        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: remove OAKL.Q.');
        self::assertModelExists($this->candidate);
        self::assertSame(6000, $this->candidate->refresh()->setups->first()?->legs[0]['price']);
    }

    public function testAChangeThatChangesNothingIsNotRemembered(): void
    {
        $this->change(['entry' => '60.00']);
        $before = $this->plan()->change_position;
        $this->change(['entry' => '60.00'])->assertOk();

        self::assertSame($before, $this->plan()->change_position);
        self::assertSame('entry of OAKL.Q', PlanHistory::nextUndo($this->plan()));
    }

    /** @return TestResponse<Response> */
    private function mark(string $price): TestResponse
    {
        return $this->postJson("/plan/mark/{$this->candidate->id}/levels", ['price' => $price]);
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return TestResponse<Response>
     */
    private function change(array $changes): TestResponse
    {
        return $this->patchJson("/plan/mark/{$this->candidate->id}/setup", $changes);
    }

    /** @return TestResponse<Response> */
    private function use(string $price, string $as): TestResponse
    {
        return $this->postJson("/plan/mark/{$this->candidate->id}/use", ['price' => $price, 'as' => $as]);
    }
}
