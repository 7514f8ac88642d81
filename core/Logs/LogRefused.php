<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

use Rheacid\Core\Failure;

/** A log that cannot be read, with the line at fault and what is accepted. */
final class LogRefused extends \DomainException implements Failure
{
    public const ACCEPTED = 'Accepted: a text file (UTF-8, UTF-16 or Latin-1) with time, mV and °C in columns parted by comma, semicolon or tab, one point a line.';

    private function __construct(string $message, public readonly ?int $atLine)
    {
        parent::__construct($message . ' ' . self::ACCEPTED);
    }

    public static function file(string $why): self
    {
        return new self($why, null);
    }

    public static function line(int $line, string $why): self
    {
        return new self("Line $line: $why", $line);
    }

    public function field(): string
    {
        return 'log';
    }
}
