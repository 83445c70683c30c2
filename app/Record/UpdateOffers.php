<?php

declare(strict_types=1);

namespace App\Record;

use App\Data\UpdateOfferData;
use App\Models\PublishedSetup;
use Watchpost\Core\Setups\UpdateKind;

/** What an author can still change of a published setup, as it stands as managed. */
final readonly class UpdateOffers
{
    public function __construct(private Runs $runs)
    {
    }

    /** @return list<UpdateOfferData> a note always */
    public function of(PublishedSetup $published, SealedSetup $sealed): array
    {
        $note = new UpdateOfferData(UpdateKind::Note, 'Note', 'changes nothing, is read by all', null);
        $row = $published->managed ?? $published->outcome;
        if ($row === null || $row->is_over) {
            return [$note];
        }
        [$run, $outcome] = $this->runs->told($published, $sealed, $row);
        if (! $outcome->status->isAlive()) {
            return [$note];
        }
        $offers = [new UpdateOfferData(UpdateKind::MoveStop, 'Move the stop', "stands at {$outcome->stop}", null)];
        foreach ($run->targets as $i => $target) {
            if (! isset($run->reached[$i])) {
                $offers[] = new UpdateOfferData(UpdateKind::MoveTarget, 'Move target '.($i + 1), "stands at {$run->price($target->price)}", $i + 1);
            }
        }
        if ($run->position->isOpen()) {
            $offers[] = new UpdateOfferData(UpdateKind::Exit, 'Take off a part, or all', 'at the open of the next bar', null);
        }
        if ($run->isWaiting()) {
            $offers[] = new UpdateOfferData(UpdateKind::CancelWaiting, 'Cancel the wait', 'what is filled stays', null);
        }

        return [...$offers, $note];
    }
}
