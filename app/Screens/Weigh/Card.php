<?php

declare(strict_types=1);

namespace App\Screens\Weigh;

use App\Models\Task;
use App\Rows\Candidate;
use Nekto\Core\Pressure\Answer;

/** What is being weighed. */
final readonly class Card
{
    /**
     * @param  int|null  $likely  minutes, as $careful; null without enough past pairs
     * @param  array{title: string, minutes: int}|null  $similar  finished work with a like name
     * @param  float  $x  its place in the field, as shares of width and height
     */
    public function __construct(
        public Task $task,
        public Candidate $one,
        public ?Answer $answer,
        public ?int $likely,
        public ?int $careful,
        public ?array $similar,
        public float $x,
        public float $y,
    ) {}
}
