<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Record\RecordPresenter;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class RecordController extends Controller
{
    public function __invoke(Request $request, RecordPresenter $presenter): Response
    {
        $tier = $this->tier($request);
        $rows = $presenter->rows($tier);

        return Inertia::render('Record', [
            'rows' => $rows,
            'totals' => $presenter->totals($rows),
            'withheld' => $presenter->withheld($tier),
        ]);
    }
}
