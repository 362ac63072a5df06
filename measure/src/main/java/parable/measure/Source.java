package parable.measure;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/** What the Java files below some folders declare, as the compiler of the running Java parses them. */
final class Source {

    private Source() {}

    /**
     * What is declared, in the order of the files' names.
     *
     * @param folders all Java files in them and below are read
     * @throws IOException if one of them cannot be read
     */
    static List<Declared> in(List<Path> folders) throws IOException {
        List<Path> files = new ArrayList<>();
        for (Path folder : folders) {
            try (Stream<Path> below = Files.walk(folder)) {
                below.filter(file -> file.toString().endsWith(".java"))
                        .filter(file -> !file.endsWith("package-info.java"))
                        .sorted()
                        .forEach(files::add);
            }
        }
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<Declared> found = new ArrayList<>();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, StandardCharsets.UTF_8)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null, manager, null, List.of("-proc:none"), null, manager.getJavaFileObjectsFromPaths(files));
            SourcePositions positions = Trees.instance(task).getSourcePositions();
            for (CompilationUnitTree unit : task.parse()) {
                new Reader(unit, positions, found).scan(unit, null);
            }
        }
        return found;
    }

    /** Goes through one file. */
    private static final class Reader extends TreeScanner<Void, Void> {

        private final CompilationUnitTree unit;
        private final SourcePositions positions;
        private final List<Declared> found;
        private final String inPackage;
        private final String text;
        private final Deque<ClassTree> around = new ArrayDeque<>();

        Reader(CompilationUnitTree unit, SourcePositions positions, List<Declared> found) throws IOException {
            this.unit = unit;
            text = unit.getSourceFile().getCharContent(true).toString();
            this.positions = positions;
            this.found = found;
            inPackage = unit.getPackageName().toString();
        }

        @Override
        public Void visitImport(ImportTree tree, Void nothing) {
            MemberSelectTree named = (MemberSelectTree) tree.getQualifiedIdentifier();
            String outer = named.getExpression().toString();
            String imports = Stream.of(outer.split("\\."))
                    .takeWhile(name -> Character.isLowerCase(name.charAt(0)))
                    .collect(Collectors.joining("."));
            found.add(new Declared.Import(inPackage, named.getIdentifier().toString(), imports));
            return null;
        }

        @Override
        public Void visitClass(ClassTree tree, Void nothing) {
            boolean anonymous = tree.getSimpleName().isEmpty();
            if (!anonymous) {
                boolean hidden = tree.getModifiers().getFlags().contains(Modifier.PRIVATE)
                        || around.stream()
                                .anyMatch(
                                        outer -> outer.getModifiers().getFlags().contains(Modifier.PRIVATE));
                around.addLast(tree);
                found.add(new Declared.Type(inPackage, type(), lines(tree, tree.getModifiers()), !hidden));
            }
            super.visitClass(tree, nothing);
            if (!anonymous) {
                around.removeLast();
            }
            return null;
        }

        @Override
        public Void visitMethod(MethodTree tree, Void nothing) {
            if (tree.getBody() != null && positions.getEndPosition(unit, tree) >= 0) {
                int parameters = tree.getParameters().size();
                if (tree.getReturnType() == null) {
                    found.add(new Declared.Constructor(
                            inPackage, type(), lines(tree, tree.getModifiers()), parameters, isValue()));
                } else {
                    found.add(new Declared.Method(
                            inPackage,
                            type(),
                            tree.getName().toString(),
                            lines(tree, tree.getModifiers()),
                            parameters));
                }
            }
            return super.visitMethod(tree, nothing);
        }

        private boolean isValue() {
            return around.getLast().getKind() == Tree.Kind.RECORD;
        }

        private String type() {
            return around.stream()
                    .map(ClassTree::getSimpleName)
                    .map(CharSequence::toString)
                    .collect(Collectors.joining("."));
        }

        /** From the first line of the header on; annotations before it do not count. */
        private int lines(Tree tree, ModifiersTree modifiers) {
            long start = modifiers.getAnnotations().stream()
                    .mapToLong(annotation -> positions.getEndPosition(unit, annotation) + 1)
                    .max()
                    .orElse(positions.getStartPosition(unit, tree));
            String between = text.substring((int) start);
            long header = start + between.length() - between.stripLeading().length();
            long first = unit.getLineMap().getLineNumber(header);
            long last = unit.getLineMap().getLineNumber(positions.getEndPosition(unit, tree));
            return (int) (last - first + 1);
        }
    }
}
