<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\CarriedData;
use App\Data\ChecklistLineData;
use App\Data\EditionData;
use App\Data\EditionLevelData;
use App\Data\EditionPartData;
use App\Data\EditionSetupData;
use App\Data\FigureData;
use App\Data\FollowedData;
use App\Data\OutcomeData;
use App\Data\TargetData;
use App\Data\ThesisData;
use App\Data\UpdateData;
use App\Planning\PlanParts;
use Watchpost\Core\Setups\Checklist\Standing;
use Watchpost\Core\Setups\Side;

/** Writes an edition, as a tier reads it, in Markdown: what it says, without its pictures. */
final class EditionMarkdown
{
    public function of(EditionData $edition): string
    {
        $blocks = [
            "# {$edition->session}",
            ($edition->isLate ? 'Published after the open. ' : '')."{$edition->kind}, edition {$edition->number}, by ".self::plain($edition->author).' for the '.self::plain($edition->exchange).", which opens {$edition->opens}. Published {$edition->publishedAt}.",
            $edition->bias === '' ? '' : '*'.self::plain($edition->bias).'*',
            ...self::texts($edition, PlanParts::BEFORE),
        ];
        foreach ($edition->parts as $part) {
            array_push($blocks, ...$this->part($part));
        }
        array_push($blocks, ...self::texts($edition, PlanParts::AFTER));
        $blocks[] = $edition->withheldNote;
        $blocks[] = '---';
        $blocks[] = self::plain($edition->costs);
        $blocks[] = $edition->seal === null ? '' : "Sealed with SHA-256 `{$edition->seal}`".($edition->previousSeal === null ? ', the first of its chain.' : ", after `{$edition->previousSeal}`.");

        return implode("\n\n", array_filter($blocks, static fn (string $block): bool => $block !== ''))."\n";
    }

    /** @return list<string> */
    private static function texts(EditionData $edition, string $place): array
    {
        $blocks = [];
        foreach ($edition->texts as $text) {
            if ($text->place === $place) {
                // a picture needs the edition around it
                array_push($blocks, '## '.self::plain($text->title), trim((string) preg_replace('/!\[([^\]]*)\]\(image:[0-9a-f]{64}\)/', '*[picture: $1]*', $text->markdown)));
            }
        }

        return $blocks;
    }

    /** @return list<string> */
    private function part(EditionPartData $part): array
    {
        $blocks = ["## {$part->symbol} ".self::plain($part->name), "{$part->kind}, last {$part->lastClose} {$part->currency}."];
        if ($part->fullFor !== null) {
            $blocks[] = ($part->sides === [] ? '' : ucfirst(implode(' and ', array_column($part->sides, 'value'))).'. ').'The rest is for '.self::plain($part->fullFor).' readers.';
        }
        if ($part->passed && $part->fullFor === null) {
            return [...$blocks, self::plain($part->verdict)];
        }
        if ($part->carried !== null) {
            array_push($blocks, ...self::carried($part->carried));
        }
        foreach ($part->setups as $setup) {
            array_push($blocks, ...$this->setup($setup));
        }
        if (count($part->setups) > 1) {
            $blocks[] = $part->eitherOr ? 'Either, or: the first that is filled ends what waits of the other.' : 'Independent: each is followed by itself.';
        }
        if ($part->thesis !== null) {
            $blocks[] = $this->thesis($part->thesis);
        }
        if ($part->levels !== []) {
            $blocks[] = self::table(['Level', 'Price', 'Grade'], array_map(static fn (EditionLevelData $level): array => [$level->origin, $level->span === '' ? $level->price : $level->span, $level->grade->value], $part->levels));
        }

        return $blocks;
    }

    /** @return list<string> */
    private function setup(EditionSetupData $setup): array
    {
        $rows = [
            [($setup->side === Side::Long ? 'Long' : 'Short').", {$setup->trigger}", $setup->entries === [] ? 'the open' : implode(' and ', $setup->entries), "1 R = {$setup->risk}"],
            ['Stop', $setup->stop, '−1 R'],
            ...array_map(static fn (TargetData $target, int $i): array => ['Target '.($i + 1).', '.round(100 * (float) $target->share).' %', $target->price, ((float) $target->r >= 0 ? '+' : '')."{$target->r} R"], $setup->targets, array_keys($setup->targets)),
            ...($setup->cancel === null ? [] : [['Cancel the wait', $setup->cancel, '']]),
            ...array_map(static fn (FigureData $figure): array => ["Yours, {$figure->label}", $figure->value, $figure->note], $setup->size),
        ];
        $blocks = [($setup->name === '' ? '' : '**'.self::plain(ucfirst($setup->name)).':** ').self::plain($setup->sentence), self::table(['', 'Price', ''], $rows)];
        if ($setup->kind !== '') {
            $blocks[] = self::plain($setup->kind).($setup->checklist === [] ? '.' : ":\n\n".implode("\n", array_map(
                static fn (ChecklistLineData $line): string => ($line->standing === Standing::Met ? '- [x] ' : '- [ ] ').self::plain($line->text).($line->value === '' ? '' : ' ('.self::plain($line->value).')').($line->standing === Standing::Failed ? ', failed' : ''),
                $setup->checklist,
            )));
        }
        if ($setup->option !== null) {
            $blocks[] = 'In options: '.self::plain($setup->option->sentence);
        }

        return [...$blocks, ...($setup->followed === null ? [] : self::followed($setup->followed))];
    }

    /** @return list<string> */
    private static function carried(CarriedData $carried): array
    {
        $blocks = [];
        foreach ($carried->setups as $setup) {
            $blocks[] = ucfirst($carried->relation->words())." (edition {$carried->edition}, setup {$setup->key}): ".self::plain($setup->sentence);
            array_push($blocks, ...($setup->followed === null ? [] : self::followed($setup->followed)));
        }

        return $blocks;
    }

    /** @return list<string> */
    private static function followed(FollowedData $followed): array
    {
        $told = static fn (OutcomeData $outcome): string => $outcome->label.($outcome->r === null ? '' : ", {$outcome->r} R").'.';

        return [
            "Since then, as of {$followed->outcome->asOf}: {$told($followed->outcome)}",
            ...($followed->managed === null ? [] : ["As managed: {$told($followed->managed)}"]),
            implode("\n", array_map(static fn (UpdateData $update): string => "- {$update->when}: {$update->what}".($update->text === '' ? '' : ': '.self::plain($update->text)).($update->noEffect === null ? '' : ' ('.self::plain($update->noEffect).')'), $followed->updates)),
        ];
    }

    private function thesis(ThesisData $thesis): string
    {
        $wrong = trim($thesis->wrongIf.($thesis->wrongAt === null ? '' : ($thesis->wrongIf === '' ? '' : ', ')."at {$thesis->wrongAt}"));

        return implode("\n", array_filter([
            $thesis->speaksFor === '' ? '' : '- For it: '.self::plain($thesis->speaksFor),
            $thesis->speaksAgainst === '' ? '' : '- Against it: '.self::plain($thesis->speaksAgainst),
            $wrong === '' ? '' : '- Wrong if: '.self::plain($wrong),
            $thesis->conviction === null ? '' : "- Conviction: {$thesis->conviction} of 5",
        ], static fn (string $line): bool => $line !== ''));
    }

    /**
     * @param list<string>       $head
     * @param list<list<string>> $rows
     */
    private static function table(array $head, array $rows): string
    {
        $line = static fn (array $cells): string => '| '.implode(' | ', array_map(self::plain(...), $cells)).' |';

        return implode("\n", [$line($head), '| --- | ---: | ---: |', ...array_map($line, $rows)]);
    }

    /** Text that says the same in Markdown: its signs are no marks, and it stays in its line. */
    public static function plain(string $text): string
    {
        return preg_replace(['/[\\\\`*_\[\]<>|#]/', '/\s*\R\s*/'], ['\\\\$0', ' '], $text) ?? $text;
    }
}
