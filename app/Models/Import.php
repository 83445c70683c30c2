<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\ImportKind;
use App\Enums\ImportState;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A file brought in: how it is read, how far it has come, and what came of it.
 *
 * @property int                                                            $id
 * @property int|null                                                       $user_id
 * @property ImportKind                                                     $kind
 * @property string                                                         $file_name
 * @property string                                                         $path
 * @property array<string, mixed>                                           $mapping
 * @property ImportState                                                    $state
 * @property int                                                            $lines_total
 * @property int                                                            $lines_done
 * @property int                                                            $added
 * @property int                                                            $unchanged
 * @property int                                                            $corrected
 * @property int                                                            $held_back
 * @property int                                                            $fault_count
 * @property list<array{line: int, field: string, reason: string, text: string}> $faults
 * @property string|null                                                    $message
 * @property Carbon                                     $created_at
 */
class Import extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => ImportKind::class, 'state' => ImportState::class, 'mapping' => 'array', 'faults' => 'array'];
    }
}
