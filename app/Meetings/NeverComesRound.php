<?php

declare(strict_types=1);

namespace App\Meetings;

/** An event whose occurrences cannot be found within its time. The message is for the person. */
final class NeverComesRound extends \RuntimeException {}
