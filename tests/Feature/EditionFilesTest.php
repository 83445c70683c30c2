<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Edition;
use App\Models\PublishedSetup;
use App\Models\SetupKind;
use App\Publishing\EditionPresenter;
use App\Publishing\EditionReader;
use App\Publishing\StillChart;
use App\Subscribers\Tiers;
use League\CommonMark\GithubFlavoredMarkdownConverter;
use Opis\JsonSchema\Validator;
use Tests\TestCase;
use Tests\World;

final class EditionFilesTest extends TestCase
{
    use World;

    private Edition $edition;

    protected function setUp(): void
    {
        parent::setUp();
        $candidate = $this->planned('OAKL.Q');
        $kind = SetupKind::query()->create(['author_id' => $this->author->id, 'name' => 'Break of a range', 'checklist' => [['kind' => 'own', 'value' => 'Room above']]]);
        $this->actingAs($this->author)->postJson("/plan/mark/{$candidate->id}/kinds/{$kind->id}/apply")->assertOk();
        $this->patchJson("/plan/mark/{$candidate->id}/note", ['speaksFor' => "Leads *its* group\n# and | more", 'wrongIf' => 'the shelf is lost'])->assertOk();
        $this->postJson("/plan/mark/{$candidate->id}/variants", ['kind' => 'patient'])->assertOk();
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->edition = $this->publish();
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 1]);
    }

    public function testMarkdownSaysWhatTheTierReads(): void
    {
        $text = (string) $this->actingAs($this->harbour)->get("/editions/{$this->edition->number}/markdown")->assertOk()->assertHeader('Content-Type', 'text/markdown; charset=UTF-8')->getContent();

        self::assertStringStartsWith('# Thursday 21 November 2024', $text);
        self::assertStringContainsString('## OAKL.Q Oaklight Optics', $text);
        self::assertStringContainsString('**Nearer:** Long on a break', $text);
        self::assertStringContainsString("| Stop | {$this->sealedStop()} | −1 R |", $text);
        self::assertStringContainsString("Break of a range:\n\n- [ ] Room above", $text);
        self::assertStringContainsString('1 more for Pilot readers.', $text);
        self::assertStringContainsString($this->edition->seal, $text);
        self::assertStringNotContainsString('GRIT.Q', $text);

        self::assertStringContainsString('GRIT.Q', (string) $this->actingAs($this->pilot)->get("/editions/{$this->edition->number}/markdown")->getContent());
    }

    /** What an author types is told as it is, and breaks nothing. */
    public function testSignsInTheTextOfAnAuthorAreNoMarks(): void
    {
        $text = (string) $this->actingAs($this->harbour)->get("/editions/{$this->edition->number}/markdown")->getContent();
        $html = (new GithubFlavoredMarkdownConverter())->convert($text)->getContent();

        self::assertStringContainsString('For it: Leads *its* group # and | more', html_entity_decode(strip_tags($html)));
        self::assertSame(2, substr_count($html, '<table>'), 'one for each way to trade it');
    }

    public function testThePdfHoldsWhatTheTierReadsAndNothingElse(): void
    {
        $this->actingAs($this->harbour)->get('/editions/1/pdf')->assertOk()->assertHeader('Content-Type', 'application/pdf');
        foreach ([[$this->harbour, false], [$this->pilot, true]] as [$reader, $readsAll]) {
            $bytes = (string) $this->actingAs($reader)->get('/editions/1/pdf')->getContent();
            self::assertStringStartsWith('%PDF-', $bytes);
            self::assertStringContainsString($this->drawn('OAKL.Q'), $this->inflated($bytes));
            self::assertSame($readsAll, str_contains($this->inflated($bytes), $this->drawn('GRIT.Q')));
        }
    }

    public function testTheStillChartDrawsBarsLevelsAndThePricesOfThePlanWithTheirNames(): void
    {
        $one = PublishedSetup::query()->with(['edition', 'instrument', 'outcome', 'managed', 'updates'])->firstOrFail();
        $part = app(EditionPresenter::class)->ofOne($one, app(Tiers::class)->whole());
        $svg = (new StillChart())->of($part);

        self::assertNotFalse(simplexml_load_string($svg));
        self::assertStringContainsString("{$part->setups[0]->stop} stop", $svg);
        self::assertStringContainsString("{$part->setups[0]->targets[0]->price} target 1", $svg);
        self::assertGreaterThanOrEqual(count($part->chart->sessions ?? []), substr_count($svg, '<rect'));
    }

    public function testTheDocumentIsAsItsSchemaSays(): void
    {
        $validator = new Validator();
        $schema = (string) file_get_contents(base_path('docs/edition.schema.json'));
        $document = Edition::query()->firstOrFail()->document;
        self::assertTrue($validator->validate(json_decode($document), $schema)->isValid());
        foreach (['"state":"planned"' => '"state":"perhaps"', '"format":' => '"extra":1,"format":', '"bias":""' => '"bias":7'] as $from => $to) {
            self::assertFalse($validator->validate(json_decode(str_replace($from, $to, $document)), $schema)->isValid(), $to);
        }
    }

    /** As a PDF writes text: letters of a subset of a font, two bytes each. */
    private function drawn(string $text): string
    {
        return (string) mb_convert_encoding($text, 'UTF-16BE');
    }

    /** The streams of a PDF, unpacked. */
    private function inflated(string $pdf): string
    {
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);

        return implode('', array_map(static fn (string $stream): string => (string) @gzuncompress($stream), $streams[1]));
    }

    public function testTheSetupsAreALineEachOfWhatTheTierReads(): void
    {
        $rows = $this->rows($this->actingAs($this->harbour)->get("/editions/{$this->edition->number}/setups")->assertOk()->streamedContent());

        self::assertSame(['1a', '1b'], array_column($rows, 'key'));
        self::assertSame(['nearer', 'patient'], array_column($rows, 'variant'));
        self::assertSame([$this->edition->number, 'OAKL.Q', 'long', 'Break of a range', '1'], [(int) $rows[0]['edition'], $rows[0]['symbol'], $rows[0]['side'], $rows[0]['kind'], $rows[0]['target_shares']]);
        self::assertNotSame('', $rows[0]['status']);
        self::assertStringStartsWith('Long on a break', $rows[0]['sentence']);

        self::assertSame(['1a', '1b', '2'], array_column($this->rows($this->actingAs($this->pilot)->get("/editions/{$this->edition->number}/setups")->streamedContent()), 'key'));
    }

    private function sealedStop(): string
    {
        return app(EditionReader::class)->document($this->edition)['candidates'][0]['setups'][0]['rules']['stop']['price'] ?? '';
    }

    /** @return list<array<string, string>> */
    private function rows(string $csv): array
    {
        $lines = array_map(static fn (string $line): array => array_map(strval(...), str_getcsv($line, ',', '"', '')), explode("\n", trim($csv)));
        $head = array_shift($lines);

        return array_map(static fn (array $line): array => array_combine($head, $line), $lines);
    }
}
