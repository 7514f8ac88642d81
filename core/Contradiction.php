<?php

declare(strict_types=1);

namespace Rheacid\Core;

/** Values that are each possible but contradict one another. */
interface Contradiction extends Failure {}
