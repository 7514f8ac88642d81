<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

/** What was answered about a point. Each question has its own answer: haste is no reason for the wrong cup. */
final readonly class PointAnswers
{
    /**
     * @param string|null $haste why a reading is taken that has not settled
     * @param string|null $cup why it is the right cup though it reads like another buffer, or like none
     * @param bool $isLabelChecked the label was looked at: it is the right bottle
     * @param string|null $temperature why this buffer is warmer or colder than those before
     * @param string|null $gap why the run goes on after a break
     */
    public function __construct(
        public ?string $haste = null,
        public ?string $cup = null,
        public bool $isLabelChecked = false,
        public ?string $temperature = null,
        public ?string $gap = null,
    ) {}
}
