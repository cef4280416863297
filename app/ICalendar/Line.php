<?php

declare(strict_types=1);

namespace App\ICalendar;

/** A content line (RFC 5545, 3.1), unfolded. */
final readonly class Line
{
    /**
     * @param  string  $name  in capitals
     * @param  array<string, string>  $parameters  by name in capitals; several values with commas between
     */
    private function __construct(public string $name, public array $parameters, public string $value) {}

    /** Null if it is none. */
    public static function read(string $line): ?self
    {
        if (preg_match('/^([A-Za-z0-9-]+)((?:;[A-Za-z0-9-]+=(?:"[^"]*"|[^;:",]*)(?:,(?:"[^"]*"|[^;:",]*))*)*):(.*)$/sD', $line, $part) !== 1) {
            return null;
        }
        preg_match_all('/;([A-Za-z0-9-]+)=((?:"[^"]*"|[^;:"])*)/', $part[2], $given, PREG_SET_ORDER);
        $parameters = [];
        foreach ($given as [, $name, $value]) {
            $parameters[strtoupper($name)] = str_replace('"', '', $value);
        }

        return new self(strtoupper($part[1]), $parameters, $part[3]);
    }

    /** A TEXT value without its escapes (3.3.11). */
    public function text(): string
    {
        return (string) preg_replace_callback('/\\\\(.)/s', static fn (array $escaped): string => strtolower($escaped[1]) === 'n' ? "\n" : $escaped[1], $this->value);
    }
}
