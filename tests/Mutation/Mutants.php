<?php

declare(strict_types=1);

namespace Tests\Mutation;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\Node\Scalar;
use PhpParser\Node\Stmt;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

/**
 * Every small change to a file that a test should notice: an operator turned, half a condition or a guard dropped, a
 * number moved by one.
 */
final class Mutants
{
    private const TURNED = [
        BinaryOp\Smaller::class => ['<', '<='], BinaryOp\SmallerOrEqual::class => ['<=', '<'],
        BinaryOp\Greater::class => ['>', '>='],
        BinaryOp\GreaterOrEqual::class => ['>=', '>'], BinaryOp\Identical::class => ['===', '!=='],
        BinaryOp\NotIdentical::class => ['!==', '==='],
        BinaryOp\Plus::class => ['+', '-'], BinaryOp\Minus::class => ['-', '+'], BinaryOp\Mul::class => ['*', '/'],
        BinaryOp\Div::class => ['/', '*'],
    ];

    /**
     * @param list<int>|null $lines that a test reaches; all of them where nobody can say
     *
     * @return list<array{line: int, from: string, to: string, code: string}> the change in words, and the whole file
     *   with it
     */
    public static function of(string $code, ?array $lines): array
    {
        $mutants = [];
        $nodes = (new NodeFinder)->find(
            (new ParserFactory)->createForHostVersion()->parse($code) ?? [],
            static fn(Node $n): bool => true,
        );
        foreach ($nodes as $node) {
            if ($lines !== null && ! in_array($node->getStartLine(), $lines, true)) {
                continue;
            }
            foreach (self::changes($node, $code) as [$at, $length, $to]) {
                $from = substr($code, $at, $length);
                $mutants[] = [
                    'line' => $node->getStartLine(), 'from' => $from, 'to' => $to,
                    'code' => substr_replace($code, $to, $at, $length),
                ];
            }
        }

        return $mutants;
    }

    /** @return list<array{int, int, string}> where, how many bytes, and what instead */
    private static function changes(Node $node, string $code): array
    {
        $all = static fn(Node $n): array => [$n->getStartFilePos(), $n->getEndFilePos() - $n->getStartFilePos() + 1];
        $text = static fn(Node $n): string => substr($code, ...$all($n));

        return match (true) {
            $node instanceof BinaryOp\BooleanAnd,
            $node instanceof BinaryOp\BooleanOr
                => [[...$all($node), $text($node->left)], [...$all($node), $text($node->right)]],
            $node instanceof BinaryOp\Coalesce
                => $node->right instanceof Expr\Throw_ ? [] : [[...$all($node), $text($node->right)]],
            $node instanceof BinaryOp && isset(self::TURNED[$node::class]) => self::turned($node, $code),
            $node instanceof Scalar\Int_ => [[...$all($node), (string) ($node->value + 1)]],
            $node instanceof Expr\BooleanNot => [[...$all($node), $text($node->expr)]],
            $node instanceof Expr\UnaryMinus => [[...$all($node), $text($node->expr)]],
            $node instanceof Expr\Ternary && $node->if !== null
                => [[...$all($node), "({$text($node->cond)}) ? {$text($node->else)} : {$text($node->if)}"]],
            $node instanceof Stmt\If_ && self::guards($node) => [[...$all($node->cond), 'false']],
            $node instanceof Stmt\Continue_ => [[...$all($node), 'break;']],
            default => [],
        };
    }

    /** An `if` that only throws or leaves. */
    private static function guards(Stmt\If_ $if): bool
    {
        $only = count($if->stmts) === 1 ? $if->stmts[0] : null;

        return $only instanceof Stmt\Return_
            || ($only instanceof Stmt\Expression && $only->expr instanceof Expr\Throw_);
    }

    /** @return list<array{int, int, string}> */
    private static function turned(BinaryOp $node, string $code): array
    {
        [$from, $to] = self::TURNED[$node::class];
        $gap = $node->left->getEndFilePos() + 1;
        $at = strpos(substr($code, $gap, $node->right->getStartFilePos() - $gap), $from);

        return $at === false ? [] : [[$gap + $at, strlen($from), $to]];
    }
}
