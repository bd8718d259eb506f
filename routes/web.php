<?php

declare(strict_types=1);

use App\Http\Controllers\AgreementController;
use App\Http\Controllers\BinController;
use App\Http\Controllers\BoardController;
use App\Http\Controllers\BreakdownController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\FaceController;
use App\Http\Controllers\FigureController;
use App\Http\Controllers\PictureController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RecutController;
use App\Http\Controllers\RenderController;
use App\Http\Controllers\SideViewController;
use App\Http\Controllers\SizeCardsController;
use App\Http\Controllers\SizingController;
use App\Http\Controllers\StepController;
use App\Http\Controllers\WoolController;
use App\Models\Figure;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->whereNumber(['figure', 'picture'])->group(function (): void {
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
    Route::post('plan', [PlanController::class, 'store']);
    Route::post('board', [BoardController::class, 'store']);
    Route::post('face', [FaceController::class, 'store']);
    Route::post('render', [RenderController::class, 'store']);
    Route::get('wools', [WoolController::class, 'index']);
    Route::get('catalogue', [CatalogueController::class, 'index']);
    Route::any('{any}', fn () => abort(404, 'There is nothing under this address.'))->where('any', '.*');
});

Route::view('/', 'app');
Route::view('/bin', 'app');
// A figure that is not there is told at once, by a plain page, not by an empty station.
Route::get('/figures/{figure}/{station?}', fn (Figure $figure) => view('app'))
    ->whereNumber('figure')->whereIn('station', ['shapes', 'wool', 'face', 'build']);
