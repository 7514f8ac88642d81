<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Numbers;

/** What a method asks of the portions of one place. */
final readonly class MethodRules
{
    /** pH: two readings in a row show that the gas is gone. Common practice, no source. */
    private const DEGASSED_PH = 0.02;

    /** More portions are not read of one sample. */
    public const MOST = 5;

    public float $agreeWithinPh;

    /**
     * @param int $portions at least; one more where they do not agree
     * @param float $agreeWithinPh repeatability limit; where gas is driven off 0.02 at most
     * @param float $lowC and $highC between which the stage is read
     * @param float $matrixBoundPh half-width of what the kind of sample adds, pH
     * @param float|null $dilutionParts parts of water that it names, and $dilutionBoundPh what a trial on the site's own food gave
     * @param HardSample $sample what of it is hard for an electrode
     * @param bool $degasses whether each portion is read after another degassing, until two in a row agree
     */
    public function __construct(
        public int $portions,
        float $agreeWithinPh,
        public float $lowC,
        public float $highC,
        public float $matrixBoundPh,
        public bool $degasses = false,
        private ?float $dilutionParts = null,
        private ?float $dilutionBoundPh = null,
        private HardSample $sample = new HardSample(),
    ) {
        $this->agreeWithinPh = $degasses ? min(self::DEGASSED_PH, $agreeWithinPh) : $agreeWithinPh;
    }

    /** Half-width of what the kind of sample and its water add, pH; null where nobody knows that. */
    public function boundPh(?float $dilutionParts): ?float
    {
        $water = SampleDilution::boundPh($dilutionParts, $this->dilutionParts, $this->dilutionBoundPh);
        $sample = $this->sample->boundPh();

        return $water === null || $sample === null ? null : sqrt($this->matrixBoundPh ** 2 + $water ** 2 + $sample ** 2);
    }

    /** @return list<ReleaseBlock> what a portion cannot prove because nobody knows how far sample or water shift it */
    public function unknown(?float $dilutionParts): array
    {
        return array_values(
            array_filter([
                SampleDilution::boundPh($dilutionParts, $this->dilutionParts, $this->dilutionBoundPh) === null
                    ? ReleaseBlock::DilutionUnknown
                    : null,
                $this->sample->boundPh() === null ? ReleaseBlock::MatrixUnknown : null,
            ]),
        );
    }

    /** @param list<float> $values pH in the order in which they were read */
    public function needed(array $values): int
    {
        return $this->degasses
            ? min(self::MOST, max($this->portions, count($values) + ($this->agree($values) ? 0 : 1)))
            : $this->portions + ($this->agree(array_slice($values, 0, $this->portions)) ? 0 : 1);
    }

    /**
     * Of which portions the gas was gone.
     *
     * @param non-empty-list<float> $values pH in the order in which they were read
     *
     * @return list<int> their places; all where none is driven off
     */
    public function gasless(array $values): array
    {
        return match (true) {
            !$this->degasses => array_keys($values),
            $this->agree($values) => [count($values) - 2, count($values) - 1],
            default => [],
        };
    }

    /** @param list<float> $values pH */
    public function areComplete(array $values): bool
    {
        return count($values) >= $this->needed($values);
    }

    /**
     * Whether they lie within the repeatability; where the gas is driven off, the last two.
     *
     * @param list<float> $values pH
     */
    public function agree(array $values): bool
    {
        $values = $this->degasses ? array_slice($values, -2) : $values;

        return (!$this->degasses || count($values) === 2)
            && $values !== []
            && Numbers::atMost(max($values) - min($values), $this->agreeWithinPh);
    }
}
