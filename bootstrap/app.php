<?php

declare(strict_types=1);

use App\Http\Middleware\HandleInertiaRequests;
use App\Planning\PlanIsPublished;
use App\Publishing\BrokenSeal;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Symfony\Component\HttpKernel\Exception\HttpException;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(append: [HandleInertiaRequests::class]);
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->map(PlanIsPublished::class, static fn (PlanIsPublished $e): HttpException => new HttpException(409, $e->getMessage(), $e));
        $exceptions->map(BrokenSeal::class, static fn (BrokenSeal $e): HttpException => new HttpException(500, $e->getMessage(), $e));
    })->create();
