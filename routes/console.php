<?php

declare(strict_types=1);

use App\Jobs\TakeUpDeliveries;
use Illuminate\Support\Facades\Schedule;

Schedule::command('watchpost:feed')->everyMinute()->withoutOverlapping()->when(static fn (): bool => config()->string('watchpost.feed') === 'folder');
Schedule::job(new TakeUpDeliveries())->everyMinute()->withoutOverlapping();
