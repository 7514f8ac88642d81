<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Rheacid\Core\Electrode\BufferRecognition;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Logs\LogColumns;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\SettlingCriterion;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\LogUpload;
use Rheacid\Models\Lot;
use Rheacid\Models\PointKind;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Ready\Bottles;
use Rheacid\View\Figures\SettlingTrace;

/** What the preview of a log shows: which column is what, the plateaus that were found, and what would be taken from each. */
final readonly class LogScreen
{
    /**
     * @param list<array{plateau: Plateau, ph: float, lot: string|null, role: string}> $plateaus
     * @param list<Lot> $lots
     */
    private function __construct(
        public LogUpload $upload,
        public LogTable $table,
        public LogColumns $columns,
        public array $plateaus,
        public array $lots,
        public SettlingTrace $trace,
    ) {}

    public static function of(LogUpload $upload, ?LogColumns $columns): self
    {
        $table = $upload->table();
        $columns ??= LogColumns::guess($table);
        $log = $columns->trace($table);
        $by = self::judging($upload);
        $window = self::window($upload);
        $lots = self::lots();

        return new self(
            $upload,
            $table,
            $columns,
            self::recognised(Plateau::in($log, $by, $window), $by, $lots),
            $lots,
            new SettlingTrace($log, $log->progress($by, $window), SettlingCriterion::ph($by), $window),
        );
    }

    /** @return list<Plateau> as the preview counted them */
    public static function plateaus(LogUpload $upload, LogColumns $columns): array
    {
        return Plateau::in($columns->trace($upload->table()), self::judging($upload), self::window($upload));
    }

    /** @return list<Lot> usable buffers, the one opened last at the end */
    private static function lots(): array
    {
        $usable = array_filter(
            Lines::bottles(SolutionKind::Buffer),
            static fn(BottleLine $bottle): bool => Bottles::objection($bottle) === null,
        );

        return array_values(
            Lot::query()
                ->whereIn('id', array_map(static fn(BottleLine $bottle): int => $bottle->id, $usable))
                ->orderBy('opened_on')
                ->orderBy('code')
                ->get()
                ->all(),
        );
    }

    private static function window(LogUpload $upload): float
    {
        return $upload->draft === null ? Settling::WINDOW_S : $upload->draft->windowS();
    }

    private static function judging(LogUpload $upload): ?CalibrationFit
    {
        if ($upload->draft !== null) {
            return $upload->draft->calibration->fitted();
        }
        $newest = $upload->pair->newestCalibration;
        $fit = $newest === null || $newest->verdict === Verdict::Fail ? null : $newest->fitted();

        return $fit !== null && $fit->hasSlope() ? $fit : null;
    }

    /**
     * The bottle that each plateau looks like; of several the one opened last. One that comes back is the read-back.
     *
     * @param list<Plateau> $plateaus
     * @param list<Lot> $lots
     *
     * @return list<array{plateau: Plateau, ph: float, lot: string|null, role: string}>
     */
    private static function recognised(array $plateaus, ?CalibrationFit $by, array $lots): array
    {
        $rows = [];
        foreach ($plateaus as $i => $plateau) {
            $candidates = [];
            foreach ($lots as $lot) {
                if ($lot->buffer()->covers($plateau->progress->celsius)) {
                    $candidates[$lot->code] = $lot->buffer();
                }
            }
            $recognition = BufferRecognition::among($candidates, $plateau->progress->mv, $plateau->progress->celsius, $by);
            $nearest = $recognition->matches[0] ?? null;
            $isNear = $nearest !== null && abs($nearest['difference_ph']) <= 0.5;
            $rows[] = [
                'plateau' => $plateau,
                'ph' => $recognition->apparentPh,
                'lot' => $isNear ? $nearest['buffer'] : null,
                'role' => $i > 0 && $i === count($plateaus) - 1 ? PointKind::ReadBack->value : PointKind::Fit->value,
            ];
        }

        return $rows;
    }
}
