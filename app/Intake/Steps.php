<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use Carbon\CarbonImmutable;

/** How files of a kind come in: cut into parts first, then taken in steps. Reading is never done within a transaction. */
interface Steps
{
    /**
     * Cuts the file into its parts, with bounded memory, and says how many there are and what comes next.
     *
     * @throws \RuntimeException with a message for the person, if the file cannot be read
     */
    public function cut(Intake $intake, CarbonImmutable $now): void;

    /** Takes the next parts; the row's counts say how far it came. */
    public function take(Intake $intake, CarbonImmutable $now): void;

    /** All parts are taken. It may be called twice, if the worker died over it. */
    public function finished(Intake $intake, CarbonImmutable $now): void;

    /** It was put aside, and why. */
    public function aside(Intake $intake, string $why, CarbonImmutable $now): void;
}
