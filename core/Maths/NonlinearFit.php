<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

/**
 * A curve through points by nonlinear least squares: Levenberg–Marquardt with Marquardt's scaling, the parameters'
 * covariance from the Jacobian at the optimum and the residual scatter (n − p degrees of freedom). Source: Marquardt 1963,
 * from memory; tested against SciPy.
 */
final readonly class NonlinearFit
{
    private const STEPS = 400;
    private const DAMPING_MAX = 1e14;

    private const LAST_STEPS = 12;

    /** Relative change of the parameters in one step: near the optimum, and at it. */
    private const NEAR = 1e-6;
    private const ARRIVED = 1e-13;

    /**
     * @param non-empty-list<float> $parameters
     * @param list<list<float>> $covariance
     */
    private function __construct(public array $parameters, private array $covariance, public float $squares) {}

    /**
     * @param list<float> $x
     * @param list<float> $y as many as x, more than parameters
     * @param \Closure(list<float>, float): array{float, list<float>} $model value and its derivatives by each parameter, at x
     * @param non-empty-list<float> $start
     *
     * @return self|null null where it does not converge, or where the points do not determine every parameter
     */
    public static function of(array $x, array $y, \Closure $model, array $start): ?self
    {
        $at = $start;
        [$squares, $gradient, $normal] = self::normal($x, $y, $model, $at);
        $damping = 1e-3;
        for ($step = 0; $step < self::STEPS && $damping < self::DAMPING_MAX; $step++) {
            $next = self::step($at, $gradient, $normal, $damping);
            $there = $next === null ? null : self::normal($x, $y, $model, $next);
            if ($next === null || $there === null || !is_finite($there[0]) || $there[0] > $squares) {
                $damping *= 10;
                continue;
            }
            $isNear = self::change($at, $next) < self::NEAR;
            [$at, [$squares, $gradient, $normal]] = [$next, $there];
            if ($isNear) {
                break;
            }
            $damping = max(1e-15, $damping / 10);
        }

        return self::arrive($x, $y, $model, $at);
    }

    /**
     * Near the optimum the sum of squares no longer tells one place from another, but the gradient does: the last steps are
     * taken undamped, by Gauss and Newton, and must converge.
     *
     * @param list<float> $x
     * @param list<float> $y
     * @param \Closure(list<float>, float): array{float, list<float>} $model
     * @param non-empty-list<float> $at
     */
    private static function arrive(array $x, array $y, \Closure $model, array $at): ?self
    {
        for ($step = 0; $step < self::LAST_STEPS; $step++) {
            [, $gradient, $normal] = self::normal($x, $y, $model, $at);
            $next = self::step($at, $gradient, $normal, 0.0);
            if ($next === null || !is_finite(array_sum($next))) {
                return null;
            }
            $change = self::change($at, $next);
            $at = $next;
            if ($change < self::ARRIVED) {
                break;
            }
        }
        [$squares, , $normal] = self::normal($x, $y, $model, $at);
        $inverse = self::inverse($normal);
        $variance = $squares / (count($x) - count($at));

        return $inverse === null || ($change ?? INF) > self::NEAR
            ? null
            : new self(
                $at,
                array_map(static fn(array $row): array => array_map(static fn(float $value): float => $value * $variance, $row), $inverse),
                $squares,
            );
    }

    /**
     * @param non-empty-list<float> $at
     * @param list<float> $gradient
     * @param list<list<float>> $normal
     *
     * @return non-empty-list<float>|null null where no direction is told
     */
    private static function step(array $at, array $gradient, array $normal, float $damping): ?array
    {
        $inverse = self::inverse($normal, $damping);

        return $inverse === null
            ? null
            : array_map(static fn(float $from, array $row): float => $from + self::dot($row, $gradient), $at, $inverse);
    }

    /**
     * The largest relative change of a parameter.
     *
     * @param non-empty-list<float> $from
     * @param non-empty-list<float> $to
     */
    private static function change(array $from, array $to): float
    {
        return max(array_map(static fn(float $one, float $other): float => abs($other - $one) / (abs($other) + 1e-9), $from, $to));
    }

    /**
     * By the delta method.
     *
     * @param list<float> $gradient derivatives of a quantity by each parameter
     */
    public function standardError(array $gradient): float
    {
        return sqrt(
            max(0.0, self::dot($gradient, array_map(static fn(array $row): float => self::dot($row, $gradient), $this->covariance))),
        );
    }

    /**
     * @param list<float> $x
     * @param list<float> $y
     * @param \Closure(list<float>, float): array{float, list<float>} $model
     * @param non-empty-list<float> $parameters
     *
     * @return array{float, list<float>, list<list<float>>} sum of squares, Jᵀr and JᵀJ
     */
    private static function normal(array $x, array $y, \Closure $model, array $parameters): array
    {
        $rows = [];
        $left = [];
        foreach ($x as $n => $at) {
            [$value, $slopes] = $model($parameters, $at);
            $rows[] = $slopes;
            $left[] = $y[$n] - $value;
        }
        $columns = array_map(static fn(int $i): array => array_column($rows, $i), array_keys($parameters));

        return [
            self::dot($left, $left),
            array_map(static fn(array $column): float => self::dot($column, $left), $columns),
            array_map(
                static fn(array $column): array => array_map(static fn(array $other): float => self::dot($column, $other), $columns),
                $columns,
            ),
        ];
    }

    /**
     * Of a symmetric positive definite matrix, scaled to a unit diagonal and reduced by Gauss and Jordan.
     *
     * @param list<list<float>> $matrix
     * @param float $damping added to the unit diagonal
     *
     * @return list<list<float>>|null null where it is singular in double precision
     */
    private static function inverse(array $matrix, float $damping = 0.0): ?array
    {
        $size = count($matrix);
        $scale = [];
        foreach ($matrix as $i => $row) {
            if (!($row[$i] > 0) || !is_finite($row[$i])) {
                return null;
            }
            $scale[] = sqrt($row[$i]);
        }
        $work = [];
        foreach ($matrix as $i => $row) {
            $scaled = array_map(static fn(float $value, float $by): float => $value / $by / $scale[$i], $row, $scale);
            $scaled[$i] += $damping;
            $work[] = [...$scaled, ...array_map(static fn(int $j): float => $i === $j ? 1.0 : 0.0, range(0, $size - 1))];
        }
        for ($i = 0; $i < $size; $i++) {
            $pivot = $work[$i][$i];
            if ($pivot < 1e-13) {
                return null;
            }
            $work[$i] = array_map(static fn(float $value): float => $value / $pivot, $work[$i]);
            foreach ($work as $j => $row) {
                $share = $row[$i];
                if ($j !== $i) {
                    $work[$j] = array_map(static fn(float $value, float $by): float => $value - $share * $by, $row, $work[$i]);
                }
            }
        }

        return array_map(
            static fn(array $row, float $own): array => array_map(
                static fn(float $value, float $by): float => $value / $own / $by,
                array_slice($row, $size),
                $scale,
            ),
            $work,
            $scale,
        );
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    private static function dot(array $a, array $b): float
    {
        return array_sum(array_map(static fn(float $one, float $other): float => $one * $other, $a, $b));
    }
}
