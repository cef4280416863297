<?php

declare(strict_types=1);

namespace App\Catch;

use App\Files\UnreadableFile;
use App\Intake\Intakes;
use App\Mail\MailReader;
use App\Models\User;

/**
 * Takes what lies in a person's mail folder, a stand-in for a mailbox: any .eml or mbox dropped there is handed to the queue,
 * once, and laid aside.
 */
final readonly class ReadMailbox
{
    public const MOST_BYTES = 25_000_000;

    /** Where a person's mail arrives. */
    public static function folder(User $user): string
    {
        return storage_path("app/mailbox/{$user->id}");
    }

    /** What has come for anybody. */
    public static function handOver(): void
    {
        foreach (glob(storage_path('app/mailbox/*/*.{eml,mbox}'), GLOB_BRACE) ?: [] as $path) {
            $owners[basename(dirname($path))] = true;
        }
        foreach (array_keys($owners ?? []) as $id) {
            $user = User::query()->whereNull('leaves_at')->find($id);
            $user === null || self::of($user);
        }
    }

    /** @return list<string> names of files that are no mail, with why */
    public static function of(User $user): array
    {
        $faults = [];
        foreach (glob(self::folder($user).'/*.{eml,mbox}', GLOB_BRACE) ?: [] as $path) {
            if (Intakes::isFull($user)) {
                break; // the others' turn comes
            }
            $to = 'read';
            try {
                self::begin($user, basename($path), (string) file_get_contents($path, length: self::MOST_BYTES + 1));
            } catch (UnreadableFile $fault) {
                $faults[] = basename($path).': '.$fault->getMessage();
                $to = 'unreadable';
            }
            @mkdir(dirname($path)."/{$to}");
            rename($path, dirname($path)."/{$to}/".basename($path));
        }

        return $faults;
    }

    /** @throws UnreadableFile if it is no mail, or too large */
    public static function begin(User $user, string $name, string $bytes): void
    {
        strlen($bytes) <= self::MOST_BYTES || throw new UnreadableFile(__('mail.too_large', ['megabytes' => intdiv(self::MOST_BYTES, 1_000_000)]));
        MailReader::check($bytes);
        Intakes::begin($user, 'mail', mb_scrub($name), $bytes);
    }
}
