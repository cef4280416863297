<?php

declare(strict_types=1);

namespace App\Backup;

/** Why a state was not saved or brought back; the message is for whoever runs Nekto. Nothing was changed. */
final class Failed extends \RuntimeException {}
