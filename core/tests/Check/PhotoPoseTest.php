<?php

declare(strict_types=1);

namespace Impa\Tests\PhotoPose;

use Impa\Check\Photo\PhotoPose;
use Impa\Check\Photo\SheetPlane;
use Impa\Geometry\Box;
use Impa\Geometry\Homography;
use Impa\Render\Bench\MarkerSheet;

function onSheet(): PhotoPose
{
    return new PhotoPose(
        3.0,
        -5.0,
        1.1,
        0.2,
        [4.0, 6.0],
        sheet: new SheetPlane(
            Homography::onto([[50.0, 40.0], [700.0, 60.0], [690.0, 900.0], [30.0, 880.0]]),
            MarkerSheet::for(Box::around([[0.0, 0.0]])),
        ),
    );
}

describe('a pose', function () {
    it('takes places where a similarity in closed form has them', function () {
        $pose = new PhotoPose(100.0, -50.0, 4.0, deg2rad(30), [10.0, 20.0]);
        [$x, $y] = $pose->at(13.0, 24.0, 0.0);
        expect($x)->toEqualWithDelta(100 + 4 * (3 * cos(M_PI / 6) - 4 * sin(M_PI / 6)), 1e-9)
            ->and($y)->toEqualWithDelta(50 - 4 * (3 * sin(M_PI / 6) + 4 * cos(M_PI / 6)), 1e-9)
            ->and($pose->pxPerMm(0.0, 0.0))->toEqualWithDelta(4.0, 1e-9);
    });

    it('shows what lies nearer to the camera larger, as a pinhole does, and shifted where it looks from askew', function () {
        // From 600 mm off, 30 mm nearer is 570 mm: 1 + 30 / 600 to first order, within its square.
        $pose = (new PhotoPose(0.0, 0.0, 1.0, 0.0, [0.0, 0.0]))->seenWith([1 / 600, 0.0, 0.0]);
        expect($pose->at(40.0, 0.0, 30.0)[0])->toEqualWithDelta(40.0 * 600 / 570, 40.0 * (30 / 570) ** 2)
            ->and($pose->at(40.0, 0.0, 0.0)[0])->toBe(40.0);
        $askew = $pose->seenWith([0.0, tan(deg2rad(3)), 0.0]);
        expect($askew->at(0.0, 0.0, 30.0)[0])->toEqualWithDelta(30.0 * tan(deg2rad(3)), 1e-9);
    });

    it('is moved in the plan\'s own mm, also when it is turned', function () {
        $pose = new PhotoPose(100.0, -50.0, 4.0, 0.7, [10.0, 20.0]);
        $moved = $pose->moved(2.0, -3.0, 0.0, 1.0);
        foreach ([[0.0, 0.0], [15.0, 31.0]] as [$x, $y]) {
            expect($moved->at($x, $y, 0.0))->toEqualWithDelta($pose->at($x + 2.0, $y - 3.0, 0.0), 1e-9);
        }
    });

    it('goes by a sheet\'s homography: its corners are where the marks are', function () {
        $sheet = MarkerSheet::for(Box::around([[0.0, 0.0]]));
        $corners = [[50.0, 40.0], [700.0, 60.0], [690.0, 900.0], [30.0, 880.0]];
        $pose = new PhotoPose(0.0, 0.0, 1.0, 0.0, [0.0, 0.0], sheet: new SheetPlane(Homography::onto($corners), $sheet));
        foreach ($sheet->marks() as $i => [$x, $y]) {
            expect($pose->at($x, $y, 0.0))->toEqualWithDelta($corners[$i], 1e-6);
        }
    });

    it('is moved by a second step as by the first: turned and grown about the plan\'s middle', function () {
        $pose = new PhotoPose(100.0, -50.0, 4.0, 0.7, [10.0, 20.0]);
        $grown = $pose->moved(2.0, -3.0, 0.3, 1.25);
        [$x, $y] = $grown->at(10.0, 20.0, 0.0);
        // The middle goes where it is moved to, whatever the turn and the scale.
        expect([$x, $y])->toEqualWithDelta($pose->at(12.0, 17.0, 0.0), 1e-9);
        [$ax, $ay] = $grown->at(18.0, 26.0, 0.0);
        expect(hypot($ax - $x, $ay - $y))->toEqualWithDelta(4.0 * 1.25 * 10.0, 1e-9)
            ->and(atan2($y - $ay, $ax - $x))->toEqualWithDelta(atan2(6, 8) + 1.0, 1e-9)
            ->and($grown->turn)->toEqualWithDelta(1.0, 1e-12)
            ->and($grown->pxPerMm(33.0, -7.0))->toEqualWithDelta(5.0, 1e-9);
    });

    it('leads steps of the picture back to the plan\'s axes: what it was moved by', function () {
        $pose = new PhotoPose(100.0, -50.0, 4.0, 0.7, [10.0, 20.0]);
        $moved = $pose->moved(2.0, -3.0, 0.0, 1.0);
        expect($pose->alongPlan(($moved->x - $pose->x) / 4.0, ($moved->y - $pose->y) / 4.0))->toEqualWithDelta([2.0, -3.0], 1e-9);
    });

    it('is measured by a sheet, or by a scale that is known; what is nearer then is seen as before', function () {
        $free = new PhotoPose(100.0, -50.0, 4.0, 0.7, [10.0, 20.0], [0.002, 0.01, -0.02]);
        $held = $free->heldAt(3.0);
        expect([$free->isMeasured(), $free->isOnSheet()])->toBe([false, false])
            ->and([$held->isMeasured(), $held->isOnSheet()])->toBe([true, false])
            ->and([onSheet()->isMeasured(), onSheet()->isOnSheet()])->toBe([true, true])
            ->and($held->parallax)->toBe([0.002, 0.01, -0.02])
            ->and($held->pxPerMm(0.0, 0.0))->toEqualWithDelta(3.0, 1e-9)
            ->and($held->moved(1.0, 1.0, 0.1, 1.0)->isMeasured())->toBeTrue()
            ->and($held->seenWith([0.0, 0.0, 0.0])->isMeasured())->toBeTrue()
            ->and($free->seenWith([0.0, 0.0, 0.0])->isMeasured())->toBeFalse()
            ->and($free->moved(1.0, 1.0, 0.1, 1.0)->isMeasured())->toBeFalse();
    });

    it('stays on its sheet when it is moved or seen otherwise, and goes there by the homography', function () {
        $pose = onSheet();
        foreach ([$pose->moved(0.0, 0.0, 0.0, 1.0), $pose->seenWith($pose->parallax), $pose->heldAt(1.1)] as $same) {
            expect($same->isOnSheet())->toBeTrue()->and($same->at(7.0, 9.0, 12.0))->toEqualWithDelta($pose->at(7.0, 9.0, 12.0), 1e-9);
        }
        // A mm to the right is a mm of the sheet times the scale, turned.
        $sheet = MarkerSheet::for(Box::around([[0.0, 0.0]]));
        $by = Homography::onto([[50.0, 40.0], [700.0, 60.0], [690.0, 900.0], [30.0, 880.0]]);
        [$x, $y] = [3.0 + 1.1 * (3 * cos(0.2) - 2 * sin(0.2)), -5.0 + 1.1 * (3 * sin(0.2) + 2 * cos(0.2))];
        expect($pose->at(7.0, 8.0, 0.0))->toEqualWithDelta($by->at(0.5 + $x / $sheet->wideMm, 0.5 - $y / $sheet->highMm), 1e-9);
    });

    it('grows by what lies nearer in both directions, and shifts up as it looks from below', function () {
        $pose = (new PhotoPose(0.0, 0.0, 1.0, 0.0, [10.0, 20.0]))->seenWith([0.01, 0.2, 0.3]);
        // 40 right and 50 up of the middle, 5 mm nearer: 5 % larger, 1 mm right, 1.5 mm up; pictures count downwards.
        expect($pose->at(50.0, 70.0, 5.0))->toEqualWithDelta([40 * 1.05 + 1.0, -(50 * 1.05 + 1.5)], 1e-9);
    });
});
