<?php

declare(strict_types=1);

namespace App\Planning;

/** The plan is sealed in an edition, so its draft can no longer be changed. */
final class PlanIsPublished extends \DomainException
{
    public function __construct()
    {
        parent::__construct('This plan is published and sealed: it can no longer be changed. A correction is an update.');
    }
}
