<?php

declare(strict_types=1);

namespace App\Intake;

/** Something was cut off because its time was over. */
final class TookTooLong extends \RuntimeException {}
