<?php

declare(strict_types=1);

namespace Nekto\Core\Estimate;

/** The narrowest kind of work that had enough past pairs for a correction. */
enum Basis: string
{
    /** There are fewer than five pairs of any kind: the correction is a guess, and says so. */
    case TooFew = 'too_few';

    case AllWork = 'all_work';

    case Area = 'area';

    case AreaAndDemand = 'area_and_demand';

    case AreaDemandAndSize = 'area_demand_and_size';
}
