<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Exchange;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

/** Makes the demo data, unless it is there already. */
final class PrepareDemo extends Command
{
    protected $signature = 'watchpost:demo';

    protected $description = 'Make the made-up market, its people, an edition and a draft, unless they are there';

    public function handle(): int
    {
        if (User::query()->exists() && Exchange::query()->doesntExist()) {
            $this->error('The demo data was made by an earlier version, which knew no exchanges. Make it anew with bin/demo --fresh.');

            return self::FAILURE;
        }
        if (User::query()->exists()) {
            $this->line('The demo data is there and kept.');

            return self::SUCCESS;
        }
        $this->line('Making the demo data');
        $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);

        return self::SUCCESS;
    }
}
