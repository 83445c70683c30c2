<?php

declare(strict_types=1);

namespace App\Actions;

use App\Data\StopOfferData;
use App\Models\SetupKind;
use App\Planning\StopOffers;
use App\Planning\Structures;
use App\Planning\Variant;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Setups\Template;

/** Makes a setup one of a kind: its defaults are put at a level, or only its checklist applies when it has none. */
final readonly class ApplyKind
{
    public function __construct(private Structures $structures, private StopOffers $offers)
    {
    }

    /** @param int|null $level where the entry stands, in units; null: at the entry the setup has, or the last close */
    public function __invoke(Variant $variant, SetupKind $kind, ?int $level): void
    {
        $structure = $this->structures->of($variant->candidate);
        $close = $structure->days->lastClose();
        $draft = $variant->draft();
        if ($kind->template !== null) {
            $template = Template::fromState($kind->template);
            $at = $level ?? $draft->entryPrice() ?? ($template->setup->draft->entry()->kind->hasPrice() ? null : $close);
            if ($at === null || $structure->range === null || $structure->range <= 0.0) {
                throw ValidationException::withMessages(['kind' => "Choose the level at which a {$kind->name} stands, on the ladder, then the kind."]);
            }
            $side = $variant->setup() === null ? $template->setup->draft->side : $draft->side;
            $draft = $template->put($structure->days->grid, $at, $structure->range, $side, $structure->prices());
            $places = $template->stopAt === null ? [] : array_filter(
                $this->offers->of($draft, $structure->days, $structure->levels, $structure->range),
                static fn (StopOfferData $offer): bool => $offer->place === $template->stopAt,
            );
            $stop = $places === [] ? null : $structure->days->grid->units(reset($places)->price);
            $draft = $stop === null ? $draft : $draft->replace(['stop' => $stop]);
        }
        $variant->keep($draft, "{$kind->name}, the setup", 'kind', ['setup_kind_id' => $kind->id]);
    }
}
