<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\EditionTextData;
use App\Enums\PartRole;
use App\Enums\Sees;
use App\Subscribers\Reader;
use App\Subscribers\Tiers;
use Illuminate\Support\Str;

/**
 * The texts of an edition as a reader reads them: what they name is put in, and what of it is not theirs to read stays out.
 *
 * @phpstan-import-type Document from EditionComposer
 * @phpstan-import-type TextPart from EditionComposer
 */
final readonly class EditionTexts
{
    public function __construct(private References $references, private Tiers $tiers)
    {
    }

    /**
     * @param Document $document
     * @param string   $pictures where pictures are read, up to their fingerprint
     *
     * @return list<EditionTextData>
     */
    public function of(array $document, Reader $reader, string $pictures): array
    {
        $publishedAt = (int) strtotime($document['published_at']);
        $texts = [];
        foreach ($document['parts'] ?? [] as $part) {
            // a text is read whole or not at all, so those who see only headlines of a setup read it too
            if ($reader->sees($part['readers'], $publishedAt) !== Sees::Nothing || $part['role'] !== PartRole::Text->value) {
                $markdown = $this->markdown($document, $part, $reader);
                $texts[] = new EditionTextData(PartRole::from($part['role']), $part['title'], $part['place'], $markdown, self::html($markdown, $pictures));
            }
        }

        return $texts;
    }

    /**
     * Whether a picture is in a text of an edition that a reader may read.
     *
     * @param Document $document
     */
    public function shows(array $document, Reader $reader, string $hash): bool
    {
        foreach ($this->of($document, $reader, '') as $text) {
            if (str_contains($text->markdown, "(image:{$hash})")) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param Document $document
     * @param TextPart $part
     */
    private function markdown(array $document, array $part, Reader $reader): string
    {
        $publishedAt = (int) strtotime($document['published_at']);
        $readers = [];
        foreach ($document['candidates'] as $candidate) {
            $readers[$candidate['instrument']['symbol']] = $candidate['readers'];
        }

        return References::replace($part['text'], function (string $name) use ($part, $readers, $reader, $publishedAt): string {
            $of = $readers[References::symbolOf($name) ?? ''] ?? null;
            if ($of !== null && ! $reader->readsAll($of, $publishedAt)) {
                return "({$this->forTier($of)})";
            }
            $setup = $this->references->setupOf($name);
            if ($setup !== null && ! $reader->mayRead($setup)) {
                return "({$this->forTier($setup->readers)})";
            }

            return EditionMarkdown::plain($part['values'][$name] ?? $this->references->live($name) ?? "{{$name}: not known}");
        });
    }

    private function forTier(string $readers): string
    {
        return "for {$this->tiers->inFull($readers)->name} readers";
    }

    private static function html(string $markdown, string $pictures): string
    {
        $placed = (string) preg_replace('/\(image:([0-9a-f]{64})\)/', "({$pictures}\$1)", $markdown);

        return trim((string) Str::markdown($placed, ['html_input' => 'escape', 'allow_unsafe_links' => false]));
    }
}
