<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** Each change carries the key of its session, from the page; no cookie that scripts can read repeats it. */
final class ChecksKey extends ValidateCsrfToken
{
    protected $addHttpCookie = false;
}
