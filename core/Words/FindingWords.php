<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Celsius;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Numbers;

/** Findings about a calibration in the words of the bench: what was seen, what is needed, and what to do first. */
final class FindingWords
{
    public static function sentence(Finding $finding): string
    {
        $seen = $finding->seen;
        $needed = $finding->needed;
        $percent = static fn(?float $value): string => $value === null ? '–' : Numbers::fixed($value, 1) . ' %';
        $ph = static fn(?float $value): string => $value === null ? 'not known' : Numbers::fixed($value, 3);

        return match ($finding->code) {
            FindingCode::NoResponse => sprintf('The electrode hardly responds: slope %s.', $percent($seen)),
            FindingCode::SlopeReversed => sprintf('The slope is reversed (%s).', $percent($seen)),
            FindingCode::SlopeLow => sprintf('Slope %s; at least %s is required.', $percent($seen), $percent($needed)),
            FindingCode::SlopeHigh => sprintf('Slope %s; more than the %s that an electrode can give.', $percent($seen), $percent($needed)),
            FindingCode::ZeroPointOff => sprintf(
                'Zero point at pH %s; it must be within %s of 7.',
                $ph($seen),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::OffsetOff => sprintf(
                'Offset %s mV; at most ±%s mV is allowed.',
                Numbers::fixed($seen ?? 0, 1),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::ResidualHigh => sprintf(
                'The points are not on one line: %s pH off; at most %s is allowed.',
                $ph($seen),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::CheckFailed => sprintf(
                'The read-back was %s pH off; at most %s is allowed.',
                $ph($seen),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::Unsettled => sprintf(
                '%s taken before %s%s.',
                (int) $seen === 1 ? 'One point was' : (int) $seen . ' points were',
                (int) $seen === 1 ? 'it was stable' : 'they were stable',
                (float) $needed > 0 ? sprintf(', still moving by %s pH', Numbers::fixed((float) $needed, 3)) : '',
            ),
            FindingCode::SlopeJumped => sprintf(
                'The slope changed by %s percentage points within a week, and no cleaning is recorded; up to %s is usual.',
                Numbers::fixed(abs($seen ?? 0), 1),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::AsFoundJumped => sprintf(
                'As found, a buffer read %s pH off within a week, and no cleaning is recorded; up to %s is usual.',
                Numbers::fixed($seen ?? 0, 2),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::NearTwin => sprintf(
                'The cup of %s may have held %s: that fits the last runs of this electrode better.',
                Numbers::fixed($seen ?? 0, 2),
                Numbers::fixed($needed ?? 0, 2),
            ),
            FindingCode::PointsApart => sprintf(
                '%s min lay between two points; at most %s min is allowed.',
                Numbers::fixed($seen ?? 0, 0),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::TemperatureUnchecked
                => 'The temperature of the buffers was not read by a verified thermometer, and no sound run of this week confirms it.',
            FindingCode::ZeroPointNear => sprintf(
                'Zero point at pH %s, close to the allowed %s from 7.',
                $ph($seen),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::ResponseSlow => sprintf(
                'Response time %s s; at most %s s is allowed.',
                Numbers::fixed($seen ?? 0, 0),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::SlopeNearLow => sprintf('Slope %s, close to the lowest allowed %s.', $percent($seen), $percent($needed)),
            FindingCode::OnePoint => 'One buffer only: good for screening at ±0.1 pH at best, never for a safety decision.',
            FindingCode::SpanShort => sprintf(
                'The buffers are %s pH apart; %s or more gives a reliable slope.',
                Numbers::fixed($seen ?? 0, 2),
                Numbers::plain($needed ?? 0),
            ),
            FindingCode::SegmentShort => sprintf(
                'Two neighbouring buffers are only %s pH apart, so the slope was judged from end to end.',
                Numbers::fixed($seen ?? 0, 2),
            ),
            FindingCode::TemperatureSpread => sprintf(
                'The buffer temperatures differed by %s; they should differ by at most %s.',
                Celsius::by($seen ?? 0, 1),
                Celsius::by($needed ?? 0),
            ),
            FindingCode::NoCheck => 'No read-back was made to check the calibration.',
        };
    }

    /** What stays hidden behind the best verdict. */
    public static function unseen(): string
    {
        return 'A calibration cannot detect a buffer that is off, because the bottle confirms itself, nor buffers that were all colder or '
            . 'warmer than the temperature entered. An independent check buffer, with its temperature read in the cup, can.';
    }

    public static function advice(Finding $finding, ElectrodeKind $kind): ?string
    {
        $isSealed = $kind->hasFillHole() === false;

        return match ($finding->code) {
            FindingCode::NoResponse
                => 'Look for a crack, a short circuit or a bubble. Shake bubbles down like a clinical thermometer. If nothing helps, '
                    . 'replace the electrode. A broken bulb is a foreign body: find the glass.',
            FindingCode::SlopeReversed => 'The buffers were probably swapped: repeat with the right one at each point.',
            FindingCode::SlopeLow
                => 'Use fresh buffers first. If the slope stays low, clean by type of soiling, soak 1 h in storage solution and calibrate '
                    . 'again. If it is still low, replace the electrode.',
            FindingCode::SlopeHigh => 'Check which buffers were used (6.86 taken for 7.00?) and the temperature that was entered.',
            FindingCode::ZeroPointOff, FindingCode::OffsetOff => ($isSealed
                ? 'Soak it 1 h in 3 M KCl'
                : 'Refill or replace the reference electrolyte and soak') . '; if the offset stays, replace the electrode.',
            FindingCode::ResidualHigh => 'Use fresh buffers and calibrate again. Wait until each point is stable.',
            FindingCode::CheckFailed => 'Rinse, use fresh buffer and calibrate again. Until then this pair is out of use.',
            FindingCode::Unsettled
                => 'Calibrate again and wait until each point is stable. Until then no critical or legal limit can be proven.',
            FindingCode::SlopeJumped,
            FindingCode::AsFoundJumped
                => 'Question the new buffers first: are they the right bottles, and as warm as the samples? A check buffer settles it.',
            FindingCode::NearTwin
                => 'Check the labels. A check buffer of the other family that agrees settles it; otherwise calibrate again.',
            FindingCode::PointsApart => 'Read a check buffer before you judge a critical limit, or calibrate again without a break.',
            FindingCode::TemperatureUnchecked
                => 'Name a verified thermometer at the next run, or read a check buffer near the samples’ pH, with its temperature taken '
                    . 'in the cup by one.',
            FindingCode::ZeroPointNear => 'Usable today. '
                . ($isSealed
                    ? 'Soak it 1 h in 3 M KCl and order a new electrode.'
                    : 'Refill or replace the reference electrolyte soon, and soak.'),
            FindingCode::ResponseSlow => sprintf(
                'Clean the glass and the junction, %ssoak 1 h, calibrate again.',
                $isSealed ? '' : 'open the fill hole, ',
            ),
            FindingCode::SlopeNearLow => 'Usable today. Clean and rehydrate the electrode soon, and order a new one.',
            FindingCode::OnePoint, FindingCode::SpanShort => 'Calibrate on two buffers about 3 pH apart that bracket what you measure.',
            FindingCode::TemperatureSpread => 'Let all buffers come to the same temperature.',
            FindingCode::SegmentShort, FindingCode::NoCheck => null,
        };
    }
}
