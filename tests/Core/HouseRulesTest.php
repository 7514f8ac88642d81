<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** Rules of the house that are told from the sources alone. */
final class HouseRulesTest extends TestCase
{
    public function test_the_parts_of_the_core_do_not_depend_on_each_other_in_a_circle(): void
    {
        $leadsTo = [];
        foreach (self::sources('core') as $file => $source) {
            $part = str_contains($file, '/') ? strtok($file, '/') : '';
            preg_match_all('/^use Rheacid\\\\Core\\\\(?:(\w+)\\\\)?\w+;/m', $source, $used);
            foreach (array_unique($used[1]) as $other) {
                if ($other !== $part) {
                    $leadsTo[$part][$other] = true;
                }
            }
        }
        // What leads nowhere any more is taken off; what is left goes round.
        do {
            $ends = array_diff(array_unique(array_merge(...array_values(array_map(array_keys(...), $leadsTo)))), array_keys($leadsTo));
            $before = $leadsTo;
            $leadsTo = array_filter(array_map(static fn(array $to): array => array_diff_key($to, array_flip($ends)), $leadsTo));
        } while ($leadsTo !== $before);

        self::assertSame([], array_map(array_keys(...), $leadsTo));
    }

    public function test_no_two_rooms_of_the_application_know_each_other(): void
    {
        $knows = [];
        foreach (self::sources('app') as $file => $source) {
            preg_match_all('/^use Rheacid\\\\((?!Core\\\\)[^;]+?)(?: as \w+)?;/m', $source, $used);
            foreach ($used[1] as $class) {
                [$from, $to] = [self::room($file), self::room(str_replace('\\', '/', "$class.php"))];
                if ($from !== $to) {
                    $knows[$from][$to][] = "$file knows $class";
                }
            }
        }
        $mutual = [];
        foreach ($knows as $from => $others) {
            foreach ($others as $to => $where) {
                $mutual = isset($knows[$to][$from]) ? [...$mutual, ...$where] : $mutual;
            }
        }

        self::assertGreaterThan(20, count($knows));
        self::assertSame([], $mutual);
    }

    public function test_no_line_of_php_is_longer_than_140_and_none_of_blade_than_160_characters(): void
    {
        $long = [];
        foreach (['app', 'config', 'core', 'database', 'ops', 'resources', 'routes', 'tests'] as $folder) {
            foreach (self::sources($folder) as $file => $source) {
                foreach (explode("\n", $source) as $i => $line) {
                    if (mb_strlen($line) > (str_ends_with($file, '.blade.php') ? 160 : 140)) {
                        $long[] = sprintf('%s/%s:%d', $folder, $file, $i + 1);
                    }
                }
            }
        }

        self::assertSame([], $long);
    }

    public function test_no_constructor_takes_more_than_twelve_arguments(): void
    {
        $long = [];
        foreach (['app' => 'Rheacid', 'core' => 'Rheacid\\Core'] as $folder => $namespace) {
            foreach (self::sources($folder) as $file => $source) {
                $class = "$namespace\\" . str_replace('/', '\\', substr($file, 0, -4));
                $takes = class_exists($class) ? (new \ReflectionClass($class))->getConstructor()?->getNumberOfParameters() : null;
                if ($takes > 12) {
                    $long[] = "$class: $takes";
                }
            }
        }

        self::assertSame([], $long);
    }

    public function test_no_server_listens_where_the_kernel_takes_ports_for_outgoing_connections(): void
    {
        $ports = [];
        foreach ([...glob(dirname(__DIR__, 2) . '/bin/*') ?: [], ...glob(dirname(__DIR__, 2) . '/ops/*') ?: []] as $file) {
            if (is_file($file)) {
                preg_match_all('/_PORT:-(\d+)/', (string) file_get_contents($file), $found);
                array_push($ports, ...$found[1]);
            }
        }

        self::assertGreaterThan(10, count($ports));
        // Linux: net.ipv4.ip_local_port_range begins here. One that has just been lent cannot be listened on for a minute.
        self::assertSame([], array_filter($ports, static fn(string $port): bool => (int) $port >= 32_768));
    }

    public function test_pages_ask_readers_and_never_the_database_or_an_action(): void
    {
        $chain = '/::query\(\)|\bDB::|->(where\w*|orderBy\w*|latest|oldest|pluck|load)\(/';
        $found = [];
        foreach (self::sources('app/Http') as $file => $source) {
            foreach (preg_grep($chain, explode("\n", $source)) ?: [] as $line) {
                $found[] = "app/Http/$file: " . trim($line);
            }
        }
        foreach (self::sources('resources/views') as $file => $source) {
            if (preg_match('/::query\(\)|\bDB::|Rheacid\\\\Actions|->(where|orderBy|get)\(/', $source)) {
                $found[] = "resources/views/$file";
            }
        }
        foreach (self::sources('app/View') as $file => $source) {
            if (str_contains($source, 'Rheacid\\Actions\\')) {
                $found[] = "app/View/$file asks an action";
            }
        }

        self::assertSame([], $found);
    }

    public function test_a_records_page_is_bound_by_the_name_in_its_address(): void
    {
        $routes = (string) file_get_contents(dirname(__DIR__, 2) . '/routes/web.php');
        preg_match_all('/\{(\w+)\}.*?\[?(\w+)::class(?:, \'(\w+)\')?/', $routes, $found, PREG_SET_ORDER);
        self::assertGreaterThan(40, count($found));
        foreach ($found as $route) {
            [$file] = glob(dirname(__DIR__, 2) . "/app/Http/Controllers/*/{$route[2]}.php") ?: [''];
            $source = (string) file_get_contents($file);
            $method = $route[3] ?? '__invoke';
            // A name that differs would be given an empty record, not the one of the address.
            self::assertMatchesRegularExpression(
                "/function $method\\([^)]*\\\${$route[1]}\\b/",
                $source,
                "{$route[2]}::$method takes \${$route[1]}",
            );
        }
    }

    /** Where many rooms lie side by side, each counts by itself: "Queries/Batches". */
    private static function room(string $file): string
    {
        $folders = explode('/', dirname($file));

        return implode('/', array_slice($folders, 0, in_array($folders[0], ['Actions', 'Queries', 'View'], true) ? 2 : 1));
    }

    /** @return iterable<string, string> path below the folder, and what stands in it */
    private static function sources(string $folder): iterable
    {
        $root = dirname(__DIR__, 2) . "/$folder";
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                yield substr($file->getPathname(), strlen($root) + 1) => (string) file_get_contents($file->getPathname());
            }
        }
    }
}
