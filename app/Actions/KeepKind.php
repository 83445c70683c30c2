<?php

declare(strict_types=1);

namespace App\Actions;

use App\Data\StopOfferData;
use App\Models\SetupKind;
use App\Models\User;
use App\Planning\StopOffers;
use App\Planning\Structures;
use App\Planning\Variant;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Setups\Checklist\Judges;
use Watchpost\Core\Setups\RelativeDraft;
use Watchpost\Core\Setups\StopPlace;
use Watchpost\Core\Setups\Template;

/** Keeps an author's kind of setup: a new one, or one that is changed; its defaults are taken from a setup. */
final readonly class KeepKind
{
    public function __construct(private Structures $structures, private StopOffers $offers)
    {
    }

    /**
     * @param SetupKind|null                             $kind      null for a new one
     * @param list<array{kind: string, value: string}> $checklist
     * @param Variant|null                               $from      whose setup becomes its defaults; null leaves them
     */
    public function __invoke(User $author, ?SetupKind $kind, string $name, array $checklist, ?Variant $from): SetupKind
    {
        $name = trim($name);
        if (SetupKind::of($author)->where('name', $name)->whereKeyNot($kind->id ?? 0)->exists()) {
            throw ValidationException::withMessages(['name' => "There is a kind \"{$name}\" already."]);
        }
        $this->check($checklist);
        $values = ['name' => $name, 'checklist' => $checklist] + ($from === null ? [] : ['template' => $this->template($from)->toState()]);
        if ($kind === null) {
            return SetupKind::query()->create(['author_id' => $author->id] + $values);
        }
        $kind->update($values);

        return $kind;
    }

    /** @param list<array{kind: string, value: string}> $checklist */
    private function check(array $checklist): void
    {
        foreach ($checklist as $i => $line) {
            if ($line['kind'] === SetupKind::OWN) {
                if (trim($line['value']) === '') {
                    throw ValidationException::withMessages(["checklist.{$i}.value" => 'Write what is to be checked.']);
                }
                continue;
            }
            try {
                Judges::read($line['kind'], $line['value']);
            } catch (InvalidInput $fault) {
                throw ValidationException::withMessages(["checklist.{$i}.value" => ucfirst($fault->getMessage()).'.']);
            }
        }
    }

    private function template(Variant $from): Template
    {
        $draft = $from->draft();
        $structure = $this->structures->of($from->candidate);
        $level = $draft->entryPrice() ?? $structure->days->lastClose();
        if (! $draft->isComplete() || $level === null || $structure->range === null || $structure->range <= 0.0) {
            throw ValidationException::withMessages(['template' => 'The defaults are taken from a setup with entry and stop: set these first.']);
        }
        $grid = $structure->days->grid;
        $offers = $this->offers->of($draft, $structure->days, $structure->levels, $structure->range);
        $here = array_filter($offers, static fn (StopOfferData $offer): bool => $offer->place !== StopPlace::Range && $offer->price === ($draft->stop === null ? '' : $grid->format($draft->stop)));

        return Template::of(new RelativeDraft($draft, $grid, $level, $structure->range), $structure->prices(), ($here === [] ? null : reset($here)->place));
    }
}
