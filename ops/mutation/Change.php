<?php

declare(strict_types=1);

namespace Rheacid\Ops\Mutation;

/** One change of a source file that a test ought to notice. */
final readonly class Change
{
    /** @param string $file from the root of the project */
    public function __construct(
        public string $file,
        public string $kind,
        public int $at,
        public string $from,
        public string $to,
        public int $line,
    ) {}

    public function applied(string $source): string
    {
        return substr_replace($source, $this->to, $this->at, strlen($this->from));
    }

    /** What names it in lists and between two calls. */
    public function name(): string
    {
        $short = static fn(string $code): string => mb_strimwidth((string) preg_replace('/\s+/', ' ', $code), 0, 70, '…');

        return sprintf('%s:%d@%d %s: %s → %s', $this->file, $this->line, $this->at, $this->kind, $short($this->from), $short($this->to));
    }
}
