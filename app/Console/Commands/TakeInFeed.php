<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Feeds\FolderFeed;
use Illuminate\Console\Command;

/** Takes in the files that wait in the watched folder; the scheduler calls it every minute. */
final class TakeInFeed extends Command
{
    protected $signature = 'watchpost:feed';

    protected $description = 'Take in the files that wait in the watched folder';

    public function handle(FolderFeed $feed): int
    {
        $refused = 0;
        foreach ($feed->takeIn() as $report) {
            $this->line("{$report->file}: {$report->words}");
            $refused += $report->taken ? 0 : 1;
        }

        return $refused === 0 ? self::SUCCESS : self::FAILURE;
    }
}
