<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Record\RecordPresenter;
use Inertia\Inertia;
use Inertia\Response;

final class RecordController extends Controller
{
    public function __invoke(RecordPresenter $presenter): Response
    {
        $rows = $presenter->rows();

        return Inertia::render('Record', ['rows' => $rows, 'totals' => $presenter->totals($rows)]);
    }
}
