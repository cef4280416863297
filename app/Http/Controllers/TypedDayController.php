<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Wording\Dates;
use App\Wording\TypedDay;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Nekto\Core\Time\LocalDay;

/** Which day was meant, while its field is still being filled in. */
final readonly class TypedDayController
{
    public function __invoke(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $day = TypedDay::read($user, mb_substr($request->string('text')->toString(), 0, 60));

        return response()->json($day === null ? ['problem' => __('task.unknown_date')] : ['said' => Dates::of($user)->full(LocalDay::fromString($day))]);
    }
}
