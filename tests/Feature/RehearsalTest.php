<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Jobs\RehearseSetup;
use App\Models\Candidate;
use App\Models\Rehearsal;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;

final class RehearsalTest extends TestCase
{
    use World;

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author);
    }

    protected function firstDate(): string
    {
        return '2023-06-01';
    }

    public function testASetupIsRehearsedOnThePastOfItsInstrument(): void
    {
        $this->getJson($this->path())->assertOk()->assertJsonPath('last', null)->assertJsonPath('choices', fn (array $choices): bool => in_array('the last close', $choices, true));
        $this->start()->assertCreated();

        $run = $this->getJson($this->path())->assertJsonPath('last.state', 'done')->assertJsonPath('last.done', 1)->assertJsonPath('last.isStale', false)->json('last');
        self::assertIsArray($run);
        $cases = Rehearsal::query()->firstOrFail()->rehearsedCases();
        self::assertGreaterThan(10, count($cases));
        self::assertSame((string) count($cases), $run['figures'][0]['value']);
        self::assertStringContainsString('Judged on day bars', $run['rule'][2]);
        self::assertSame(count($cases), count($run['cases']));

        $this->patchJson("/plan/mark/{$this->candidate->id}/setup", ['good_for' => 9])->assertOk();
        $this->getJson($this->path())->assertJsonPath('last.isStale', true);
    }

    public function testWithTooFewCasesNoRateIsTold(): void
    {
        $this->patchJson("/plan/mark/{$this->candidate->id}/setup", ['conditions' => [['kind' => 'rsi_max', 'period' => '14', 'value' => '1']]])->assertOk();
        $run = $this->start()->json('id');
        $told = $this->getJson($this->path("/{$run}"))->assertOk()->json();
        self::assertIsArray($told);
        self::assertStringContainsString('too few for a rate', (string) $told['tooFew']);
        self::assertSame(['Cases', 'At their end'], array_column($told['figures'], 'label'));
    }

    public function testTheWholeGroupIsRehearsedAndMayBeCancelled(): void
    {
        foreach (['TARN.Q', 'GRIT.Q'] as $symbol) {
            $this->instrument($symbol)->update(['group' => $this->instrument('OAKL.Q')->group]);
        }
        $this->getJson($this->path())->assertJsonPath('others', 2);
        $this->start(['scope' => 'group']);
        $done = Rehearsal::query()->firstOrFail();
        self::assertSame(3, $done->steps_done);
        self::assertEqualsCanonicalizing(['OAKL.Q', 'TARN.Q', 'GRIT.Q'], array_values(array_unique(array_column($done->cases, 'symbol'))));

        Queue::fake();
        $id = $this->start(['scope' => 'group'])->json('id');
        self::assertIsInt($id);
        $this->postJson($this->path("/{$id}/cancel"))->assertOk()->assertJsonPath('state', 'cancelled');
        app()->call([new RehearseSetup($id), 'handle']);
        self::assertSame([], Rehearsal::query()->findOrFail($id)->cases, 'a cancel that came first stands');
    }

    public function testACaseOpensOnTheChartAsOfItsEvening(): void
    {
        $this->start();
        $rehearsal = Rehearsal::query()->firstOrFail();
        $case = $rehearsal->rehearsedCases()[2];
        $this->get($this->path("/{$rehearsal->id}/cases/2"))->assertOk()->assertInertia(fn (AssertableInertia $page) => $page
            ->component('RehearsedCase')
            ->where('case.symbol', 'OAKL.Q')
            ->where('case.r', $case->r)
            ->where('case.chart', /** @param Collection<string, mixed> $chart */ static function (Collection $chart) use ($case): bool {
                $sessions = (array) $chart->get('sessions');

                return $sessions[$chart->get('publishedAfter')] === $case->session;
            }));
        $this->get($this->path("/{$rehearsal->id}/cases/999"))->assertNotFound();
    }

    public function testWhatCannotBeRehearsedIsRefusedWithTheReason(): void
    {
        $this->start(['at' => 'a hunch'])->assertJsonValidationErrors(['at' => 'choose again']);
        $this->start(['sessions' => 7])->assertJsonValidationErrors('sessions');
        $this->patchJson("/plan/mark/{$this->candidate->id}/setup", ['legs' => [['kind' => 'close_beyond', 'price' => $this->price('OAKL.Q', 0.005), 'timeframe' => '30m']]])->assertOk();
        $this->start()->assertJsonValidationErrors(['rehearsal' => 'day bars']);

        $blank = $this->candidate('TARN.Q');
        $this->postJson("/plan/mark/{$blank->id}/rehearsals", ['at' => 'the last close', 'scope' => 'instrument', 'sessions' => 252])->assertJsonValidationErrors(['rehearsal' => 'entry and stop']);
    }

    public function testARehearsalOfAnotherCandidateIsNotFound(): void
    {
        $this->start();
        $other = $this->planned('TARN.Q');
        $this->getJson("/plan/mark/{$other->id}/rehearsals/".Rehearsal::query()->firstOrFail()->id)->assertNotFound();
    }

    /**
     * @param array<string, mixed> $change
     *
     * @return TestResponse<Response>
     */
    private function start(array $change = []): TestResponse
    {
        return $this->postJson($this->path(), $change + ['at' => 'the last close', 'scope' => 'instrument', 'sessions' => 252]);
    }

    private function path(string $more = ''): string
    {
        return "/plan/mark/{$this->candidate->id}/rehearsals{$more}";
    }
}
