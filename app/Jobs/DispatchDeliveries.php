<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Delivery\Dispatch;
use App\Enums\DeliverySubject;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Hands something that was published to everyone it goes to. Killed in the middle, it is begun again and adds what is missing. */
final class DispatchDeliveries implements ShouldQueue
{
    use Queueable;

    public int $tries = 5;
    public int $timeout = 300;

    public function __construct(public readonly DeliverySubject $subject, public readonly int $subjectId)
    {
        $this->afterCommit();
    }

    public function handle(Dispatch $dispatch): void
    {
        $dispatch($this->subject, $this->subjectId);
    }
}
