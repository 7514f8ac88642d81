<?php

declare(strict_types=1);

namespace Rheacid\Ops\Mutation;

/** A part of the code that is changed, with the tests that ought to notice. */
final readonly class Part
{
    /**
     * @param non-empty-list<string> $folders of the code, from the root of the project
     * @param non-empty-list<string> $tests folders of the tests
     * @param string|null $leftOut files that are not changed, as a pattern
     * @param string $bootstrap of the tests, from the root of the project
     * @param int $mostTests that look at one change, the most special first
     * @param int $patienceS after so long a test hangs: longer than the slowest takes on a busy machine
     */
    private function __construct(
        public string $name,
        public array $folders,
        public array $tests,
        public ?string $leftOut,
        public string $bootstrap,
        public int $mostTests,
        public int $patienceS,
    ) {}

    public static function named(string $name): self
    {
        return match ($name) {
            // Invented, of the simulated bench, or a table that is compared with its published values number by number.
            'core' => new self(
                $name,
                ['core'],
                ['tests/Core', 'tests/Reference'],
                '~^core/(Simulation/|Electrode/BufferTables|Products/library)~',
                'vendor/autoload.php',
                1000,
                300,
            ),
            // They need the databases that bin/test starts.
            'app' => new self(
                $name,
                ['app/Actions', 'app/Guard', 'app/Queries', 'app/Rights'],
                ['tests/Feature'],
                '~^app/Actions/Practice/~',
                'tests/bootstrap.php',
                40,
                180,
            ),
            default => throw new \InvalidArgumentException("core or app, not $name"),
        };
    }

    /** Of a file of it. */
    public static function className(string $file): string
    {
        $path = str_replace('/', '\\', substr($file, 0, -4));

        return str_starts_with($path, 'core\\') ? 'Rheacid\\Core\\' . substr($path, 5) : 'Rheacid\\' . substr($path, 4);
    }
}
