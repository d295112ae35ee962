<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Session\CuttingStock;

/** What is cut from each straw or skewer, to scale. In px. */
final readonly class CutDrawing
{
    public const LEFT = 70;
    public const LENGTH = 460;
    public const ROW = 34;
    private const ROOM_FOR_A_NAME = 70;

    /** @var list<array{y: int, times: int, pieces: list<array{x: float, width: float, kind: int, piece: string, lengthM: float, isNamed: bool}>}> */
    public array $rows;

    public function __construct(CuttingStock $stock)
    {
        $scale = self::LENGTH / $stock->stockM;
        $kinds = array_flip(array_keys($stock->lengthsM));
        $rows = [];
        foreach (array_values($stock->cuts) as $row => $cut) {
            $atM = 0.0;
            $pieces = [];
            foreach ($cut['pieces'] as $piece => $count) {
                $lengthM = $stock->lengthsM[$piece];
                for ($i = 0; $i < $count; $i++) {
                    $pieces[] = [
                        'x' => round(self::LEFT + $atM * $scale, 2),
                        'width' => round($lengthM * $scale, 2),
                        'kind' => $kinds[$piece],
                        'piece' => (string) $piece,
                        'lengthM' => $lengthM,
                        'isNamed' => $lengthM * $scale > self::ROOM_FOR_A_NAME,
                    ];
                    $atM += $lengthM + $stock->kerfM;
                }
            }
            $rows[] = ['y' => 8 + self::ROW * $row, 'times' => $cut['times'], 'pieces' => $pieces];
        }
        $this->rows = $rows;
    }

    public function height(): int
    {
        return 8 + self::ROW * count($this->rows);
    }
}
