<?php

declare(strict_types=1);

namespace Tests;

use App\Calendars\Fetch;
use App\Calendars\PublicHost;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Symfony\Component\HttpClient\MockHttpClient;

abstract class TestCase extends BaseTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->app->instance(Fetch::class, new Fetch(new MockHttpClient, new PublicHost([], static fn (): array => []), 1)); // no test asks a real network
    }
}
