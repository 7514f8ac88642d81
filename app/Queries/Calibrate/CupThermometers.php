<?php

declare(strict_types=1);

namespace Rheacid\Queries\Calibrate;

use Rheacid\Core\Measuring\Source;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\Queries\Listed;
use Rheacid\Queries\Ready\Thermometers;

/**
 * What can read the temperature in a cup of buffer: the meter's own probe, with its checks if there are any, or a thermometer of the
 * shelf.
 */
final readonly class CupThermometers
{
    /**
     * @param array<array-key, string> $options words by id; the empty one is the own probe without checks
     * @param string $usual the one that stands first on the form
     */
    private function __construct(public array $options, public string $usual) {}

    /** @param array<array-key, mixed> $not ids of those that cannot settle what is in doubt: another one then stands first */
    public static function of(Pair $pair, Source $source, array $not = []): self
    {
        $probes = Thermometer::query()->whereNotNull('meter_id')->limit(Listed::MOST)->pluck('meter_id', 'id');
        $lines = array_filter(
            Lines::thermometers(),
            static fn(ThermometerLine $line): bool => ($probes[$line->id] ?? $pair->meter_id) === $pair->meter_id,
        );
        usort(
            $lines,
            static fn(ThermometerLine $a, ThermometerLine $b): int => [
                !isset($probes[$a->id]),
                !$a->status()->state->isInForce(),
                $a->code,
            ] <=> [!isset($probes[$b->id]), !$b->status()->state->isInForce(), $b->code],
        );
        $own = $probes->search($pair->meter_id);
        $options = $own === false ? ['' => sprintf('the probe of %s, never checked', $pair->meter->code)] : [];
        foreach ($lines as $line) {
            $options[(string) $line->id] = sprintf(
                '%s · %s',
                $line->id === $own ? "the probe of {$pair->meter->code} ($line->code)" : $line->code,
                Thermometers::words($line->status()),
            );
        }

        $others = array_filter($lines, static fn(ThermometerLine $line): bool => !in_array($line->id, $not, true) && $line->id !== $own);
        if ($not !== []) {
            return new self($options, (string) self::first($others));
        }

        return new self(
            $options,
            (string) (self::last($pair, $source, $options)
                ?? ($own === false ? ($source === Source::Typed ? self::first($lines) : null) : $own)),
        );
    }

    /** @param array<array-key, string> $options */
    private static function last(Pair $pair, Source $source, array $options): ?int
    {
        $last = CalibrationRun::query()
            ->where('pair_id', $pair->id)
            ->where('source', $source)
            ->whereNotNull('thermometer_id')
            ->orderByDesc('id')
            ->value('thermometer_id');

        return is_numeric($last) && isset($options[(string) $last]) ? (int) $last : null;
    }

    /** @param array<int, ThermometerLine> $lines */
    private static function first(array $lines): ?int
    {
        foreach ($lines as $line) {
            if ($line->status()->state->isInForce()) {
                return $line->id;
            }
        }

        return null;
    }
}
