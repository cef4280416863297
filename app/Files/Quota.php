<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** How much room the files of an account have, and take. A file that several tasks share takes its room once. */
final readonly class Quota
{
    private function __construct(public int $used, public int $most) {}

    public static function of(User $user): self
    {
        $sizes = $user->attachments()->toBase()->selectRaw('max(size) as size')->groupBy('path');

        return new self((int) DB::query()->fromSub($sizes, 'files')->sum('size'), (int) config('nekto.files_megabytes') * 1_000_000);
    }

    public function holds(int $bytes): bool
    {
        return $this->used + $bytes <= $this->most;
    }

    public function percent(): int
    {
        return $this->most === 0 ? 100 : min(100, (int) ceil(100 * $this->used / $this->most));
    }
}
