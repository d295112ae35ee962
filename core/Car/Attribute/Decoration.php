<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** When cars are painted or dressed up. */
enum Decoration: string
{
    case None = 'none';
    /** Before the balloon goes on, with paint that must dry first. */
    case First = 'first';
    /** Last of all, over the finished car, with what need not dry. */
    case Last = 'last';
}
