<?php

declare(strict_types=1);

use App\Http\Middleware\HandleInertiaRequests;
use App\Planning\PlanIsPublished;
use App\Publishing\BrokenSeal;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;
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
        // a mail program that unsubscribes has no session (RFC 8058); the address is signed
        $middleware->validateCsrfTokens(except: ['unsubscribe/*']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->map(ModelNotFoundException::class, static fn (ModelNotFoundException $e): HttpException => new HttpException(404, 'It is not there any more.', $e));
        $exceptions->map(PlanIsPublished::class, static fn (PlanIsPublished $e): HttpException => new HttpException(409, $e->getMessage(), $e));
        $exceptions->map(BrokenSeal::class, static fn (BrokenSeal $e): HttpException => new HttpException(500, $e->getMessage(), $e));
        $exceptions->respond(static function (Response $response, \Throwable $e, Request $request): Response {
            $status = $response->getStatusCode();
            if ($request->expectsJson() || ($status < 400 || $status === 422) || ($status >= 500 && config('app.debug') === true)) {
                return $response;
            }

            return Inertia::render('Fault', ['status' => $status, 'message' => $e instanceof HttpException ? $e->getMessage() : ''])
                ->toResponse($request)
                ->setStatusCode($status);
        });
    })->create();
