<?php

declare(strict_types=1);

namespace App\Catch;

use App\Models\User;
use Carbon\CarbonImmutable;
use Nekto\Core\Capture\Line;
use Nekto\Core\Capture\LineParser;
use Nekto\Core\Time\LocalDay;

/** Understands lines as a person types them: by their clock, their order of dates, their projects. */
final readonly class CaughtLine
{
    public LineParser $parser;

    private Learned $learned;

    public function __construct(User $user, CarbonImmutable $now)
    {
        $this->learned = new Learned($user);
        $local = $user->local($now);
        $projects = $user->projects()->whereNull('done_at')->pluck('name')->filter(static fn (string $name): bool => mb_strlen($name) > 2);
        $this->parser = new LineParser(
            LocalDay::fromString($local->format('Y-m-d')),
            60 * $local->hour + $local->minute,
            $user->month_first,
            array_values($projects->all()),
        );
    }

    /** @param  list<string>  $refused */
    public function understand(string $text, array $refused = []): Line
    {
        return $this->parser->parse($text, $refused);
    }

    /**
     * The same with what similar lines got before, where this one says nothing of it.
     *
     * @param  list<string>  $refused
     * @param  list<string>|null  $shown  proposals that the person has seen; null: they see them now
     */
    public function propose(string $text, array $refused, ?array $shown = null): Line
    {
        return $this->learned->with($this->understand($text, $refused), $refused, $shown);
    }
}
