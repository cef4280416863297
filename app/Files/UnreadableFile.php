<?php

declare(strict_types=1);

namespace App\Files;

/** A file of which nothing can be read; its message is for the person. */
final class UnreadableFile extends \RuntimeException {}
