<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\PostUpdate;
use App\Data\FollowedData;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Models\Update;
use App\Publishing\Evidence;
use App\Record\RecordPresenter;
use App\Subscribers\Tiers;
use Illuminate\Support\ViewErrorBag;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Played;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Setups\UpdateKind;
use Watchpost\Core\Verification\BarFile;
use Watchpost\Core\Verification\Verifier;

/** Updates to a touch at 98 % of the last close, stop 96 %, target 103 %. */
final class UpdatesTest extends TestCase
{
    use Played;
    use World;

    private const FILLED = [[1.0, 1.0, 0.975, 0.99]];
    private const SOON = '2024-11-21T09:35:00Z';

    protected function setUp(): void
    {
        parent::setUp();
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03);
        $this->publish();
        $this->actingAs($this->author);
    }

    public function testAStopThatIsMovedCountsAsManagedOnly(): void
    {
        $this->play(self::FILLED, self::SOON);
        $this->tell(['kind' => 'move_stop', 'price' => $this->at(0.98), 'text' => 'No risk left.'])->assertSessionHasNoErrors();
        $this->play([[0.99, 0.99, 0.97, 0.975], [0.975, 1.04, 0.97, 1.03]]);
        $followed = $this->followed();

        self::assertSame(['closed', 'closed'], [$followed->outcome->status->value, $followed->managed?->status->value]);
        self::assertEqualsWithDelta(2.5, (float) $followed->outcome->r, 0.02);
        self::assertEqualsWithDelta(0.0, (float) $followed->managed?->r, 0.02);
        self::assertSame(["Stop moved to {$this->at(0.98)}", 'No risk left.', null], [$followed->updates[0]->what, $followed->updates[0]->text, $followed->updates[0]->noEffect]);
        self::assertContains('the stop was moved', array_map(static fn ($event): string => $event->what, $followed->managed->events ?? []));
        self::assertStringContainsString('21 Nov', $followed->updates[0]->when);

        $record = app(RecordPresenter::class);
        $totals = $record->totals($record->rows(app(Tiers::class)->whole()));
        self::assertSame([1, '2.50', '0.00'], [$totals->managed, $totals->realised, $totals->managedRealised]);
    }

    public function testAPartTakenOffIsExitedAtTheNextOpen(): void
    {
        $this->play(self::FILLED, self::SOON);
        $this->tell(['kind' => 'exit', 'share' => '50'])->assertSessionHasNoErrors();
        $this->play([[0.99, 0.995, 0.985, 0.99]]);
        $followed = $this->followed();

        self::assertSame([null, '50 % of what is open is taken off'], [$followed->updates[0]->noEffect, $followed->updates[0]->what]);
        self::assertEqualsWithDelta(0.25, (float) $followed->managed?->rRealised, 0.02);
        self::assertSame('0.0000', $followed->outcome->rRealised);
    }

    public function testAWaitThatIsCancelledIsFilledNoMoreAsManaged(): void
    {
        $this->play([[1.0, 1.0, 0.99, 0.99]], self::SOON);
        $this->tell(['kind' => 'cancel_waiting'])->assertSessionHasNoErrors();
        $this->play([[0.99, 0.99, 0.975, 0.98]]);
        $followed = $this->followed();

        self::assertSame(['open', 'cancelled'], [$followed->outcome->status->value, $followed->managed?->status->value]);
    }

    public function testANoteChangesNothingAndIsNotFollowedApart(): void
    {
        $this->tell(['kind' => 'note', 'text' => 'Thin before the holiday.'])->assertSessionHasNoErrors();
        $followed = $this->followed();

        self::assertNull($followed->managed);
        self::assertSame(['Note', 'Thin before the holiday.'], [$followed->updates[0]->what, $followed->updates[0]->text]);
        self::assertSame(1, Outcome::query()->count());
    }

    /** @param array<string, string|int> $update */
    #[DataProvider('refused')]
    public function testWhatCannotBeIsRefusedAtItsFieldAndNothingIsPublic(bool $filled, array $update, string $field, string $says): void
    {
        $this->play($filled ? self::FILLED : [[1.0, 1.0, 0.99, 0.99]], self::SOON);
        $response = $this->tell(array_map(fn (string|int $value): string|int => is_string($value) && str_starts_with($value, '@') ? $this->at((float) substr($value, 1)) : $value, $update));
        $response->assertSessionHasErrors($field);
        $errors = session('errors');

        self::assertInstanceOf(ViewErrorBag::class, $errors);
        self::assertStringContainsString($says, $errors->first($field));
        self::assertSame(0, Update::query()->count());
    }

    /** @return iterable<string, array{bool, array<string, string|int>, string, string}> */
    public static function refused(): iterable
    {
        yield 'a looser stop' => [true, ['kind' => 'move_stop', 'price' => '@0.95'], 'price', 'would loosen the stop'];
        yield 'a stop beyond the entry that waits' => [false, ['kind' => 'move_stop', 'price' => '@0.985'], 'price', 'losing side of the entry'];
        yield 'no price' => [true, ['kind' => 'move_stop', 'price' => ''], 'price', 'Write the new price'];
        yield 'not a price' => [true, ['kind' => 'move_stop', 'price' => 'ten'], 'price', 'is not a price'];
        yield 'a target that is not there' => [true, ['kind' => 'move_target', 'number' => 4, 'price' => '@1.05'], 'number', 'there is no target 4'];
        yield 'a target on the wrong side' => [true, ['kind' => 'move_target', 'number' => 1, 'price' => '@0.97'], 'price', 'must lie beyond'];
        yield 'nothing open' => [false, ['kind' => 'exit', 'share' => '50'], 'kind', 'no position is open'];
        yield 'nothing waits' => [true, ['kind' => 'cancel_waiting'], 'kind', 'no part of the entry waits'];
        yield 'too much' => [true, ['kind' => 'exit', 'share' => '101'], 'share', 'whole percent from 1 to 100'];
        yield 'a note without words' => [true, ['kind' => 'note', 'text' => ' '], 'text', 'Write what is to be said'];
    }

    public function testWhatIsOverTakesNotesOnly(): void
    {
        $this->play([...self::FILLED, [0.99, 0.99, 0.95, 0.955]]);
        $this->tell(['kind' => 'move_stop', 'price' => $this->at(0.98)])->assertSessionHasErrors('kind');
        $this->tell(['kind' => 'note', 'text' => 'A fair loss.'])->assertSessionHasNoErrors();
        self::assertSame(['Note'], array_map(static fn ($update): string => $update->what, $this->followed()->updates));
    }

    public function testAnUpdateThatCameTooLateForItsFirstBarIsToldToHaveHadNoEffect(): void
    {
        $this->play(self::FILLED, self::SOON);
        // in the middle of the next bar, at whose close a stop may move by itself: the store of a slower feed
        $published = PublishedSetup::query()->with(['edition', 'instrument'])->firstOrFail();
        $update = app(PostUpdate::class)($published, $this->author, UpdateKind::MoveStop, $this->at(0.97));
        $late = Update::query()->create(['published_setup_id' => $published->id, 'author_id' => $this->author->id, 'at' => $update->at, 'kind' => UpdateKind::MoveStop, 'price' => $this->at(0.965), 'text' => '']);
        $this->play([[0.99, 0.995, 0.985, 0.99]]);
        $followed = $this->followed();

        self::assertStringContainsString('would loosen the stop', (string) $late->refresh()->refused_because);
        self::assertSame([null, true], [$followed->updates[0]->noEffect, str_starts_with((string) $followed->updates[1]->noEffect, 'Had no effect')]);
        self::assertSame('open', $followed->managed?->status->value);
    }

    public function testAnUpdateIsNeverChangedOrRemoved(): void
    {
        $this->tell(['kind' => 'note', 'text' => 'Said.']);
        $update = Update::query()->sole();
        foreach ([static fn () => $update->update(['text' => 'Not said.']), static fn () => $update->delete()] as $attempt) {
            try {
                $attempt();
                self::fail('the update was changed');
            } catch (\LogicException $e) {
                self::assertStringContainsString('public', $e->getMessage());
            }
        }
        self::assertSame('Said.', $update->refresh()->text);
    }

    public function testReadersSeeItWhereTheyReadTheSetupAndTheAssistantDoesNotPublishOne(): void
    {
        $this->tell(['kind' => 'note', 'text' => 'Thin before the holiday.']);
        $this->actingAs($this->harbour)->get('/editions/1')->assertSee('Thin before the holiday.');
        $this->get('/editions/1/markdown')->assertSee('Thin before the holiday.');
        $this->get('/record')->assertSee('Thin before the holiday.');
        $this->actingAs($this->assistant);
        $this->tell(['kind' => 'note', 'text' => 'Mine.'])->assertForbidden();
        self::assertSame(1, Update::query()->count());
    }

    public function testTheManagedResultCanBeRecomputed(): void
    {
        $this->play(self::FILLED, self::SOON);
        $this->tell(['kind' => 'move_stop', 'price' => $this->at(0.98)]);
        $this->play([[0.99, 0.99, 0.97, 0.975]]);
        $edition = PublishedSetup::query()->firstOrFail()->edition;
        $file = fopen('php://memory', 'w+');
        self::assertIsResource($file);
        foreach (app(Evidence::class)->bars($edition) as $line) {
            fputcsv($file, $line, escape: '');
        }
        rewind($file);
        /** @var array<string, mixed> $evidence */
        $evidence = json_decode((string) json_encode(app(Evidence::class)->of($edition)), true);
        $findings = (new Verifier())->verify($evidence, BarFile::read($file));

        self::assertSame(['setup 1, OAKL.Q', 'setup 1, OAKL.Q, as managed'], array_values(array_filter(array_column($findings, 'what'), static fn (string $what): bool => str_starts_with($what, 'setup'))));
        self::assertSame([], array_filter($findings, static fn ($finding): bool => ! $finding->isAsClaimed));
    }

    private function followed(): FollowedData
    {
        return app(RecordPresenter::class)->rows(app(Tiers::class)->whole())[0]->followed;
    }

    /**
     * @param array<string, string|int> $update
     *
     * @return TestResponse<Response>
     */
    private function tell(array $update): TestResponse
    {
        return $this->post('/plan/review/'.PublishedSetup::query()->firstOrFail()->id.'/updates', $update);
    }
}
