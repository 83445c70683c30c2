<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Planning\CurrentPlan;
use App\Reading\Scans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Watchpost\Core\Scanning\Scan;

final class ScanController extends Controller
{
    public function __invoke(Request $request, Scans $scans, CurrentPlan $current): JsonResponse
    {
        $request->validate([
            'scan' => ['required', Rule::enum(Scan::class)],
            'sessions' => ['required', 'integer', 'between:1,'.Scans::MOST_SESSIONS],
        ], ['sessions.*' => 'Sessions are a whole number from 1 to '.Scans::MOST_SESSIONS.'.']);

        return new JsonResponse($scans->run(Scan::from($request->string('scan')->value()), $request->integer('sessions'), $current->of($this->author($request))));
    }
}
