<?php

declare(strict_types=1);

namespace App\Http\Controllers\Shapes;

use App\Api\Body;
use App\Hand\Profile;
use App\Http\DocumentResponse;
use App\Printing\PagesPdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Impa\Armature\ArmatureSheet;
use Impa\Armature\Skeleton;
use Impa\Figure\Editing\Choices;
use Impa\Figure\Figure;
use Impa\Figure\Wire;
use Impa\Print\Template\BendingSheet;
use Impa\Wool\Ledger\Ledger;

/** The wires of a figure, reckoned without saving. */
final class ArmatureController
{
    public function store(Body $body): JsonResponse
    {
        [$figure, $ledger, $wires] = self::given($body);
        $stock = $body->has('stock') ? array_values($body->numbers('stock')) : [];

        return new JsonResponse(ArmatureSheet::of($figure, $ledger, $wires, $stock));
    }

    /** The figure with the wires that were proposed, as its own. */
    public function lay(Body $body): DocumentResponse
    {
        [$figure, , $wires] = self::given($body);

        return new DocumentResponse(['document' => Choices::wired($figure, array_values($wires))->document()]);
    }

    /** The figure with one more wire, to be dragged where it is to run. */
    public function draw(Body $body): DocumentResponse
    {
        $figure = $body->figure();
        $wires = [...array_values($figure->wires), Skeleton::own($figure)];

        return new DocumentResponse(['document' => Choices::wired($figure, $wires)->document()]);
    }

    public function bend(Body $body): Response
    {
        [$figure, , $wires] = self::given($body);
        $pages = BendingSheet::pages($figure, $wires, $body->paper());

        return new Response(PagesPdf::of($pages, $body->paper()), 200, ['Content-Type' => 'application/pdf']);
    }

    /** @return array{Figure, Ledger, array<string, Wire>} */
    private static function given(Body $body): array
    {
        $figure = $body->figure();

        return [$figure, Profile::ledger($figure), Skeleton::of($figure, $body->flag('all'))];
    }
}
