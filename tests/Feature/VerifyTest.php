<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\AddVariant;
use App\Planning\Variant;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Console\VerifyCommand;
use Watchpost\Core\Setups\VariantKind;

final class VerifyTest extends TestCase
{
    use World;

    public function testWhatIsDownloadedIsRecomputedByTheCommandLine(): void
    {
        $this->planned('TARN.Q');
        $candidate = $this->planned('OAKL.Q');
        app(AddVariant::class)(new Variant($candidate), VariantKind::OtherSide);
        $this->actingAs($this->author);
        // it looks back over months of which only the days are known, and at another symbol
        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['conditions' => [['kind' => 'average_above', 'type' => 'ema', 'period' => '10'], ['kind' => 'index_above', 'symbol' => 'GRIT.Q', 'price' => '0.0001']]])->assertOk();
        $first = $this->publish();
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 3]);
        $this->planned('GRIT.Q');
        $second = $this->publish();
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 1]);

        [$code, $out] = $this->verify($first->number);
        self::assertSame(0, $code, $out);
        self::assertSame(5, substr_count($out, 'as claimed  '), $out);
        [$code, $out] = $this->verify($second->number, $first->number);
        self::assertSame(0, $code, $out);
        self::assertStringContainsString('it names the edition before it', $out);
    }

    public function testThePageTellsHowInPlainWordsAndOnlyToThoseWhoReadAllOfIt(): void
    {
        $this->planned('OAKL.Q', readers: 'pilot');
        $edition = $this->publish();
        $this->actingAs($this->pilot)->get("/editions/{$edition->number}/verify")->assertInertia(fn (AssertableInertia $page) => $page->component('Verify')->where('seal', $edition->seal)->where('hasPrevious', false));
        foreach (['verify', 'evidence', 'bars'] as $what) {
            $this->actingAs($this->harbour)->get("/editions/{$edition->number}/{$what}")->assertForbidden();
        }
    }

    /** @return array{int, string} */
    private function verify(int $number, ?int $previous = null): array
    {
        $files = [$this->file($this->get("/editions/{$number}/evidence")->assertOk()->getContent()), '--bars', $this->file($this->get("/editions/{$number}/bars")->assertOk()->streamedContent())];
        if ($previous !== null) {
            array_push($files, '--previous', $this->file($this->get("/editions/{$previous}/evidence")->getContent()));
        }
        $out = fopen('php://memory', 'w+');
        $err = fopen('php://memory', 'w+');
        self::assertIsResource($out);
        self::assertIsResource($err);
        $code = (new VerifyCommand())->run($files, $out, $err);

        return [$code, stream_get_contents($out, offset: 0).stream_get_contents($err, offset: 0)];
    }

    private function file(string|false $content): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'verify');
        file_put_contents($file, $content);
        $this->beforeApplicationDestroyed(static fn () => unlink($file));

        return $file;
    }
}
