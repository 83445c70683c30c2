<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\ReasonJudgement;
use App\Enums\Relation;
use App\Enums\ResultJudgement;

/** A published setup on the evening's look back. */
final readonly class ReviewItemData
{
    /**
     * @param string                $name        of the variant; empty for the only one
     * @param list<Relation>        $offers      how it can be taken up in the plan
     * @param Relation|null         $carried     how the plan takes it up
     * @param int|null              $candidateId of the plan, on its instrument
     * @param list<UpdateOfferData> $updates     that can be made to it now
     * @param bool                  $isSettled   nothing of it waits for the author: it is judged, carried over or let go
     */
    public function __construct(
        public int $id,
        public int $edition,
        public string $key,
        public string $symbol,
        public string $company,
        public string $name,
        public string $kind,
        public string $publishedAt,
        public string $sentence,
        public FollowedData $followed,
        public ?ReasonJudgement $reason,
        public ?ResultJudgement $result,
        public string $note,
        public bool $isLetGo,
        public array $offers,
        public ?Relation $carried,
        public ?int $candidateId,
        public array $updates,
        public bool $isSettled,
    ) {
    }
}
