<?php

declare(strict_types=1);

namespace Impa\Voice;

/** What a quantity measures, and the unit that core reckons in. */
enum Measure
{
    /** mm */
    case Length;
    /** g */
    case Mass;
    /** minutes */
    case Time;
    /** degrees */
    case Angle;
    /** of 1 */
    case Share;
    /** cm2 */
    case Area;
    /** cm3 */
    case Volume;
    /** g/cm3 */
    case Density;
    case Number;
    /** of the felter's currency */
    case Money;
}
