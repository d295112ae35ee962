<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** When the points of skewers come off: people differ. */
enum Points: string
{
    /** All of them, before anybody does anything else: nobody is pricked. */
    case First = 'first';
    /** All but one, which an adult keeps as an awl and cuts off when the last hole is made. */
    case OneAsAwl = 'one kept';
}
