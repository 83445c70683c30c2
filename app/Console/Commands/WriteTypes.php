<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\TypeScriptWriter;
use Illuminate\Console\Command;

/** Writes the TypeScript types of app/Data, so that no shape is written twice. */
final class WriteTypes extends Command
{
    protected $signature = 'types:write {--check : only say whether the file differs}';

    protected $description = 'Write the TypeScript types of the transfer objects in app/Data';

    public function handle(): int
    {
        $path = resource_path('js/types/data.ts');
        $types = (new TypeScriptWriter())->write(app_path('Data'));
        if ($this->option('check')) {
            if (is_file($path) && file_get_contents($path) === $types) {
                $this->info('The types are up to date.');

                return self::SUCCESS;
            }
            $this->error('resources/js/types/data.ts differs from app/Data: run php artisan types:write.');

            return self::FAILURE;
        }
        if (! is_dir(dirname($path))) {
            mkdir(dirname($path), recursive: true);
        }
        file_put_contents($path, $types);
        $this->info("Wrote {$path}.");

        return self::SUCCESS;
    }
}
