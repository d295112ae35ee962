<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\GroupName;

final class GroupNameTest extends TestCase
{
    #[TestWith(['Anna and Tom'])]
    #[TestWith(['Anna, Ben, Clara'])]
    #[TestWith(['Lena Schmidt'])]
    #[TestWith(['Mohammed & Zoë'])]
    #[TestWith(['Luís Pereira e Ana Costa'])]
    #[TestWith(['Tom / Mia B.'])]
    public function testNamesOfChildrenAreNoticed(string $name): void
    {
        self::assertTrue(GroupName::mayBePeople($name));
    }

    #[TestWith(['Red Rockets'])]
    #[TestWith(['Bowline'])]
    #[TestWith(['Ruby'])]
    #[TestWith(['Fast and Furious'])]
    #[TestWith(['Salt & Pepper'])]
    #[TestWith(['The Pistons'])]
    #[TestWith(['Group 3'])]
    #[TestWith(['Team Max'])]
    #[TestWith(['luna rossa'])]
    #[TestWith([''])]
    public function testNamesOfGroupsAreLeftAlone(string $name): void
    {
        self::assertFalse(GroupName::mayBePeople($name));
    }
}
