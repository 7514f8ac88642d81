<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\CleaningEffect;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\SoakSchool;

/** The care of an electrode in the words of the bench. What helps against what is common practice, no source. */
final class CareWords
{
    /** As it stands in the care log: "cleaned", "dropped". */
    public static function happened(CareKind $kind): string
    {
        return match ($kind) {
            CareKind::Soak => 'soaked',
            CareKind::Cleaned => 'cleaned',
            CareKind::Refilled => 'refilled',
            CareKind::Inspected => 'inspected',
            CareKind::ToppedUp => 'cap topped up',
            CareKind::Stored => 'stored',
            CareKind::GlassWhole => 'glass whole',
            CareKind::Sanitised => 'washed and sanitised',
            CareKind::Dropped => 'dropped',
            CareKind::DriedOut => 'dried out',
            CareKind::WrongStorage => 'stored wrongly',
            CareKind::Battery => 'battery changed',
            CareKind::Repaired => 'repaired',
            CareKind::Broken => 'broken',
            CareKind::OutOfUse => 'taken out of use',
            CareKind::BackInUse => 'taken back into use',
            CareKind::Retired => 'retired',
        };
    }

    /** As it stands on the plan of the day: "Top up the cap of E-07"; without a code: "Top up the cap". */
    public static function toDo(CareKind $kind, ?string $code = null): string
    {
        return match ($kind) {
            CareKind::ToppedUp => 'Top up the cap' . ($code === null ? '' : " of $code"),
            CareKind::Cleaned => trim("Clean $code"),
            CareKind::Soak => trim("Re-hydrate $code"),
            default => trim(ucfirst(self::happened($kind)) . " $code"),
        };
    }

    /** On the button that writes it down in one tap. */
    public static function oneTap(CareKind $kind): string
    {
        return match ($kind) {
            CareKind::Cleaned => 'Cleaned, general soiling',
            CareKind::Soak => 'Start 2 h soak',
            default => ucfirst(self::happened($kind)),
        };
    }

    /** How it is done; null where nothing needs saying. */
    public static function how(CareKind $kind, ElectrodeKind $of): ?string
    {
        return match ($kind) {
            CareKind::ToppedUp => 'Put 3–5 drops of 3 M KCl into the cap. White crystals are harmless KCl: rinse them off.',
            CareKind::Soak
                => 'Keep the tip in storage solution (3 M KCl), never in distilled, deionised or reverse-osmosis water, which leaches the '
                    . 'reference.',
            CareKind::Cleaned => 'Then soak 1 h in 3 M KCl and calibrate. Slope, response and check buffer show the effect.',
            CareKind::Refilled => 'Fill electrolyte to within 12 mm of the fill hole, without a bubble behind the bulb. Then calibrate.',
            CareKind::Stored => 'Tip wet, in 3 M KCl' . ($of->hasFillHole() === false ? '.' : ', fill hole closed.'),
            CareKind::GlassWhole => 'Count and inspect: no chip, nothing missing. Before and after each use in food.',
            CareKind::Sanitised
                => 'Wash, sanitise and dry between raw and ready-to-eat food, and after allergens. Keep a spear for raw meat separate.',
            CareKind::DriedOut => 'Soak 24 h in 3 M KCl. A dried-out tip is often ruined; the next calibration shows it.',
            CareKind::WrongStorage
                => 'A dry tip loses the hydrated layer of the glass; pure water leaches the reference. Both cause drift for hours. In an '
                    . 'emergency, use pH 4 or 7 buffer or tap water for a short time.',
            CareKind::Broken
                => 'Find every piece of glass; wear gloves. If a chip or the tip is missing, every batch measured since the last '
                    . 'inspection may contain glass and is held. Follow your site’s rules and local codes.',
            default => null,
        };
    }

    /** What the cleaning of a kind of dirt takes. */
    public static function cleaning(Dirt $dirt): string
    {
        return match ($dirt) {
            Dirt::General => 'general soiling: 30 min in cleaning solution',
            Dirt::Stubborn => 'stubborn soiling: 30 min in detergent solution, soft brush',
            Dirt::Fat => 'fat or oil: detergent, then a brief wipe with ethanol',
            Dirt::Protein => 'protein (milk, meat): pepsin solution',
            Dirt::Scale => 'scale: dilute acid',
        };
    }

    /** Where several cleaners stand side by side. */
    public static function cleanersTogether(): string
    {
        return 'Never mix cleaners, and rinse with water between two of them: bleach with acid gives off chlorine, bleach with ammonia '
            . 'chloramine. Both gases are poisonous.';
    }

    /** Where lye is in the burette or the bottle. */
    public static function lye(): string
    {
        return 'Lye burns eyes and skin. Wear goggles and gloves. Glass burettes can break: fill them below eye level. Follow your site’s '
            . 'rules and local codes.';
    }

    /** What can hurt with it. */
    public static function cleaningCaution(Dirt $dirt): string
    {
        return match ($dirt) {
            Dirt::Fat => 'Ethanol is flammable: no flames or sparks; ventilate the room. Follow your site’s rules and local codes.',
            Dirt::Protein
                => 'Pepsin dust can cause allergies: do not breathe it. The solution is acidic: wear goggles and gloves. Follow your '
                    . 'site’s rules and local codes.',
            Dirt::Scale => 'Acid burns. Wear goggles and gloves, and add acid to water. Follow your site’s rules and local codes.',
            Dirt::General,
            Dirt::Stubborn
                => 'Cleaners can splash. Wear goggles and rinse with plenty of water. Follow your site’s rules and local codes.',
        };
    }

    public static function soak(SoakSchool $school): string
    {
        return match ($school) {
            SoakSchool::Careful => '24 h: first use or dried out',
            SoakSchool::Usual => '2 h: usual rehydration',
            SoakSchool::AfterCleaning => '1 h: after cleaning or refilling',
            SoakSchool::Fast => '15 min: in frequent use, never dry',
        };
    }

    public static function step(CareStep $step): string
    {
        return match ($step) {
            CareStep::Clean => 'clean it by type of soiling',
            CareStep::SoakHour => 'soak it 1 h in 3 M KCl',
            CareStep::Soak => 'hydrate it in 3 M KCl, 2 h or more',
            CareStep::Refill => 'refill or replace the electrolyte',
            CareStep::Inspect => 'inspect it and shake bubbles down',
            CareStep::FreshBuffers => 'use fresh buffers',
            CareStep::Calibrate => 'calibrate again',
            CareStep::Replace => 'replace it',
        };
    }

    public static function effect(CleaningEffect $effect): string
    {
        return match ($effect) {
            CleaningEffect::Better => 'It helped.',
            CleaningEffect::None => 'No improvement.',
            CleaningEffect::Worse => 'It is worse than before. Soak it, then calibrate again with fresh buffers.',
        };
    }

    /** Why a batch is held when glass broke. */
    public static function glassBroke(string $code): string
    {
        return "Foreign body: the glass of $code broke after this batch was measured with it. Find every piece; a lead decides.";
    }

    /** @return non-empty-array<string, string> what is looked at before use, by a short key */
    public static function inspection(ElectrodeKind $kind): array
    {
        $hole
            = $kind->hasFillHole() === false
                ? []
                : [
                    'electrolyte' => 'electrolyte within 12 mm of the fill hole',
                    'hole' => 'fill hole open for measuring',
                ];

        return [
            ...$hole,
            'bubbles' => 'no bubble behind the bulb (shake it down like a clinical thermometer)',
            'bulb' => 'bulb whole and clean',
            ...$kind === ElectrodeKind::Sleeve ? ['sleeve' => 'sleeve seated'] : [],
            'batteries' => 'batteries and gaskets in order',
        ];
    }
}
