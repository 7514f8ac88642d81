<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract;

use Rheacid\Core\Contract\Shape\RecordShape;

/** One computation that can be asked for by name. */
interface Job
{
    public function shape(): RecordShape;

    /**
     * @return array<string, mixed>
     *
     * @throws \Rheacid\Core\Failure
     */
    public function answer(Input $in): array;
}
