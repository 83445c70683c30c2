<?php

declare(strict_types=1);

namespace App\Models;

use App\Enums\ReasonJudgement;
use App\Enums\ResultJudgement;
use Illuminate\Database\Eloquent\Model;

/**
 * What the author thinks of a published setup, looking back.
 *
 * @property int                  $id
 * @property int                  $published_setup_id
 * @property ReasonJudgement|null $reason
 * @property ResultJudgement|null $result
 * @property string               $note
 * @property bool                 $is_let_go  not to be taken up again
 */
class Review extends Model
{
    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['reason' => ReasonJudgement::class, 'result' => ResultJudgement::class, 'is_let_go' => 'boolean'];
    }
}
