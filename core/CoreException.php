<?php

declare(strict_types=1);

namespace Nekto\Core;

/** What every exception of the core is. */
interface CoreException extends \Throwable {}
