<?php

declare(strict_types=1);

namespace App\ICalendar;

/** A file that is no calendar, or an event in it that cannot be read. The message is for the person. */
final class UnreadableCalendar extends \RuntimeException {}
