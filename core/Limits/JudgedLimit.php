<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** How an occasion stands against one limit that is due, and which portion decides it. */
final readonly class JudgedLimit
{
    /**
     * @param Conformity $valueConformity what the value alone says, before a missed deadline is counted
     * @param bool $late the occasion came after the deadline, and none had met it by then
     * @param int $result and $replicate places in the list that was judged
     */
    public function __construct(
        public ProductLimit $limit,
        public Conformity $conformity,
        public Conformity $valueConformity,
        public bool $late,
        public float $margin,
        public JudgedReplicate $decides,
        public int $result,
        public int $replicate,
    ) {}

    /** What is left beyond the guard; negative is what it lacks. */
    public function spare(): float
    {
        return $this->margin - $this->decides->guard($this->limit->limit);
    }
}
