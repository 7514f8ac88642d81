<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

use Rheacid\Core\Failure;

/** A log that cannot be read, with the line at fault and what is accepted. */
final class LogRefused extends \DomainException implements Failure
{
    public const ACCEPTED = 'Accepted: a text file (UTF-8, UTF-16 or Latin-1) with time, mV and °C in columns separated by comma, '
        . 'semicolon or tab, one point per line.';

    private function __construct(public readonly string $why, public readonly ?int $atLine, string $accepted = self::ACCEPTED)
    {
        parent::__construct("$why $accepted");
    }

    public static function file(string $why): self
    {
        return new self($why, null);
    }

    public static function line(int $line, string $why): self
    {
        return new self("Line $line: $why", $line);
    }

    /** The same refusal of a file of another kind. */
    public function accepting(string $accepted): self
    {
        return new self($this->why, $this->atLine, $accepted);
    }
}
