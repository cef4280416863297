<?php

declare(strict_types=1);

namespace App\Screens\Shape;

use App\Models\Block;
use App\Models\Reserve;
use App\Models\Task;
use App\Models\User;
use App\Planning\Anew;
use App\Rows\Candidate;
use App\Screens\Page;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nekto\Core\Time\LocalDay;

/** The run sheet of a day with all that stands beside it. */
final readonly class ShapePage extends Page
{
    /**
     * @param  Collection<int, Task>  $picked
     * @param  list<TwoAtOnce>  $twoAtOnce  meetings on fixed blocks
     * @param  array<int, array{name: string, hue: string, minutes: int}>  $areas  the longest first
     */
    public function __construct(
        public User $user,
        public CarbonImmutable $now,
        public LocalDay $day,
        public bool $isToday,
        public bool $isPast,
        public RunSheet $sheet,
        public Gauge $gauge,
        public Collection $picked,
        public int $keys,
        public ?Overfull $overfull,
        public ?Reserve $reserve,
        public ?Difference $difference,
        public bool $needsMending,
        public ?LateLine $late,
        public array $twoAtOnce,
        public ?CrunchLine $crunch,
        public ?Anew $anew,
        public ?CrunchWays $ways,
        public ?string $wayWords,
        public Bank $bank,
        public ?ProposalPanel $proposal,
        public ?MorningRun $morning,
        public bool $invite,
        public ShapeAsk $ask,
        public ?Block $chosen,
        public ?WhyPlace $place,
        public ?string $why,
        public ?Candidate $chosenCandidate,
        public array $areas,
    ) {}
}
