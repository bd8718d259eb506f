<?php

declare(strict_types=1);

use App\Http\Controllers\AgreementController;
use App\Http\Controllers\BinController;
use App\Http\Controllers\BoardController;
use App\Http\Controllers\BreakdownController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\ExpressionController;
use App\Http\Controllers\FaceController;
use App\Http\Controllers\FacePictureController;
use App\Http\Controllers\FigureController;
use App\Http\Controllers\FigureWoolController;
use App\Http\Controllers\NeedleController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\RecutController;
use App\Http\Controllers\RenderController;
use App\Http\Controllers\SideViewController;
use App\Http\Controllers\SizeCardsController;
use App\Http\Controllers\SizingController;
use App\Http\Controllers\StashTableController;
use App\Http\Controllers\StepController;
use App\Http\Controllers\SupplyController;
use App\Http\Controllers\TradeController;
use App\Http\Controllers\WeighingController;
use App\Http\Controllers\WoolColourController;
use App\Http\Controllers\WoolController;
use App\Models\Figure;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->whereNumber(['figure', 'picture', 'wool', 'swatch'])->group(function (): void {
    Route::get('figures', [FigureController::class, 'index']);
    Route::post('figures', [FigureController::class, 'store']);
    Route::get('figures/{figure}', [FigureController::class, 'show']);
    Route::put('figures/{figure}', [FigureController::class, 'update']);
    Route::delete('figures/{figure}', [FigureController::class, 'destroy']);
    Route::get('figures/{figure}/render', [RenderController::class, 'show'])->withTrashed();
    Route::get('figures/{figure}/steps', [StepController::class, 'index']);
    Route::put('figures/{figure}/steps/{step}', [StepController::class, 'update'])->where('step', '[A-Za-z0-9:._-]{1,160}');
    Route::delete('figures/{figure}/steps/{step}', [StepController::class, 'destroy'])->where('step', '[A-Za-z0-9:._-]{1,160}');

    Route::get('bin', [BinController::class, 'index']);
    Route::post('bin/{figure}/restore', [BinController::class, 'restore'])->withTrashed();
    Route::delete('bin', [BinController::class, 'destroy']);

    Route::post('pictures', [PictureController::class, 'store']);
    Route::get('pictures/{picture}', [PictureController::class, 'show']);
    Route::get('pictures/by-hash/{hash}', [PictureController::class, 'byHash'])->where('hash', '[0-9a-f]{64}');
    Route::post('recut', [RecutController::class, 'store']);
    Route::post('sizing', [SizingController::class, 'store']);
    Route::post('side-view', [SideViewController::class, 'store']);
    Route::post('agreement', [AgreementController::class, 'store']);
    Route::post('size-cards', [SizeCardsController::class, 'store']);
    Route::post('breakdown', [BreakdownController::class, 'store']);
    Route::post('breakdown/glance', [BreakdownController::class, 'glance']);
    Route::post('plan', [PlanController::class, 'store']);
    Route::post('board', [BoardController::class, 'store']);
    Route::post('board/turning', [BoardController::class, 'turning']);
    Route::get('trade', [TradeController::class, 'index']);
    Route::post('face', [FaceController::class, 'store']);
    Route::post('face/advice', [FaceController::class, 'advice']);
    Route::post('face/laying', [FaceController::class, 'laying']);
    Route::post('face/between', [FaceController::class, 'between']);
    Route::post('face/marks', [FaceController::class, 'marks']);
    Route::post('face/keep', [FaceController::class, 'keep']);
    Route::post('face/needles-eye', [FaceController::class, 'needlesEye']);
    Route::post('face/afar', [FacePictureController::class, 'afar']);
    Route::post('face/sheets', [FacePictureController::class, 'sheets']);
    Route::get('face/pieces', [ExpressionController::class, 'index']);
    Route::post('face/pieces', [ExpressionController::class, 'store']);
    Route::post('face/copy', [ExpressionController::class, 'copy']);
    Route::get('needles', [NeedleController::class, 'index']);
    Route::put('needles', [NeedleController::class, 'update']);
    Route::post('render', [RenderController::class, 'store']);
    Route::get('wools', [WoolController::class, 'index']);
    Route::post('wools', [WoolController::class, 'store']);
    Route::put('wools/{wool}', [WoolController::class, 'update']);
    Route::delete('wools/{wool}', [WoolController::class, 'destroy']);
    Route::post('wools/{wool}/restore', [WoolController::class, 'restore'])->withTrashed();
    Route::post('wools/{wool}/weighings', [WeighingController::class, 'store']);
    Route::get('wools.csv', [StashTableController::class, 'csv']);
    Route::get('wools.gpl', [StashTableController::class, 'palette']);
    Route::post('wool-sheet', [StashTableController::class, 'store']);
    Route::post('wool-colour', [WoolColourController::class, 'store']);
    Route::post('recipes', [RecipeController::class, 'store']);
    Route::post('ramp', [RecipeController::class, 'ramp']);
    Route::post('swatches', [RecipeController::class, 'swatch']);
    Route::delete('swatches/{swatch}', [RecipeController::class, 'forget']);
    Route::post('supply', [SupplyController::class, 'store']);
    Route::post('supply/portions', [SupplyController::class, 'portions']);
    Route::post('supply/split', [SupplyController::class, 'split']);
    Route::post('supply/shopping', [SupplyController::class, 'shopping']);
    Route::get('figures/{figure}/wool', [FigureWoolController::class, 'show']);
    Route::put('figures/{figure}/wool', [FigureWoolController::class, 'update']);
    Route::delete('figures/{figure}/wool', [FigureWoolController::class, 'destroy']);
    Route::post('figures/{figure}/wool/finish', [FigureWoolController::class, 'finish']);
    Route::get('catalogue', [CatalogueController::class, 'index']);
});

Route::view('/', 'app');
Route::view('/bin', 'app');
Route::view('/stash', 'app');
// A figure that is not there is told at once, by a plain page, not by an empty station.
Route::get('/figures/{figure}/{station?}', fn (Figure $figure) => view('app'))
    ->whereNumber('figure')->whereIn('station', ['shapes', 'wool', 'face', 'build']);
