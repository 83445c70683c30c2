<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Enums\Sees;
use App\Models\Edition;
use App\Subscribers\Reader;

/** Finds editions by what a reader may read of them: nothing is found by what is withheld. */
final readonly class Archive
{
    public const AT_ONCE = 20;

    public function __construct(private EditionReader $editions, private EditionTexts $texts)
    {
    }

    /** @param int|null $before only editions with a smaller number */
    public function find(string $words, Reader $reader, ?int $before = null): ArchivePage
    {
        $found = [];
        foreach (Edition::query()->with('publishedSetups')->when($before !== null, static fn ($editions) => $editions->where('number', '<', $before))->orderByDesc('number')->lazy(50) as $edition) {
            if ($words === '' || $this->says($edition, mb_strtolower($words), $reader)) {
                $found[] = $edition;
            }
            if (count($found) > self::AT_ONCE) {
                break;
            }
        }
        $shown = array_slice($found, 0, self::AT_ONCE);

        return new ArchivePage($shown, count($found) > self::AT_ONCE ? $shown[self::AT_ONCE - 1]->number : null);
    }

    private function says(Edition $edition, string $words, Reader $reader): bool
    {
        $document = $this->editions->document($edition);
        $said = [$document['bias'], $document['session']['date'], $edition->kind->label()];
        foreach ($document['candidates'] as $candidate) {
            $sees = $reader->sees($candidate['readers'], $edition->published_at);
            if ($sees !== Sees::Nothing) {
                array_push($said, $candidate['instrument']['symbol'], $candidate['instrument']['name'], $candidate['instrument']['group']);
            }
            if ($sees === Sees::Full) {
                array_push($said, $candidate['reason'], ...array_map(static fn (array $setup): string => $setup['sentence'].' '.($setup['kind'] ?? ''), $candidate['setups'] ?? []));
            }
        }
        foreach ($this->texts->of($document, $reader, '') as $text) {
            array_push($said, $text->title, $text->markdown);
        }

        return str_contains(mb_strtolower(implode("\n", $said)), $words);
    }
}
