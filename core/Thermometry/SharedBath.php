<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** Alike probes that stood in the ice of one day. */
final class SharedBath
{
    /**
     * When several probes read high in the ice of one day, the bath is suspected before the probes.
     * Common practice, no source.
     *
     * @param list<array{on: string, facts: VerificationFacts}> $newest verification of each probe, with its calendar day
     */
    public static function isSuspect(array $newest): bool
    {
        $days = [];
        foreach ($newest as ['on' => $on, 'facts' => $facts]) {
            if ($facts->errorC > 0 && in_array(VerificationFinding::BathSuspect, $facts->findings, true)) {
                $days[] = $on;
            }
        }

        return count(array_unique($days)) < count($days);
    }
}
