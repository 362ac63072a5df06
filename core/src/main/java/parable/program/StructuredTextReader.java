package parable.program;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads the subset of Structured Text that {@link StructuredText} writes. */
final class StructuredTextReader {

    private static final int MOST_NESTED = 64;
    private static final Pattern DURATION = Pattern.compile("([0-9.]+)(ms|[dhms])", Pattern.CASE_INSENSITIVE);
    private static final long LONGEST = 100L * 24 * 3600 * 1000;

    private final List<Token> tokens;
    private int at;
    private int nested;
    private String comment = "";

    StructuredTextReader(String text) throws StructuredTextException {
        tokens = Tokens.of(text);
    }

    Program program() throws StructuredTextException, ProgramException {
        expect("PROGRAM");
        String name = name("the name of the program");
        comment = "";
        List<Variable> variables = new ArrayList<>();
        while (accept("VAR")) {
            while (!accept("END_VAR")) {
                variables.add(variable());
            }
            comment = "";
        }
        List<ProgramNetwork> networks = new ArrayList<>();
        while (!peek().is("END_PROGRAM")) {
            networks.add(network());
            comment = "";
        }
        expect("END_PROGRAM");
        if (peek().kind() != Token.Kind.END) {
            throw peek().expected("nothing after END_PROGRAM");
        }
        return Program.of(name, variables, networks);
    }

    /** The one statement that the text says, and nothing else. */
    ProgramNetwork onlyNetwork() throws StructuredTextException {
        refuseComments();
        ProgramNetwork network = network();
        refuseMore("one statement, and nothing behind it");
        return network;
    }

    /** The one variable that the text declares, and nothing else but a comment on it. */
    Variable onlyVariable() throws StructuredTextException {
        Variable variable = variable();
        refuseMore("one variable, and nothing behind it");
        return variable;
    }

    private void refuseComments() throws StructuredTextException {
        for (Token token : tokens) {
            if (token.kind() == Token.Kind.COMMENT) {
                throw token.expected("a comment only in front of the statement");
            }
        }
    }

    private void refuseMore(String expected) throws StructuredTextException {
        if (peek().kind() != Token.Kind.END) {
            throw peek().expected(expected);
        }
    }

    /** The next token that is no comment; what the comments before it say is remembered. */
    private Token peek() {
        while (tokens.get(at).kind() == Token.Kind.COMMENT) {
            comment = tokens.get(at++).text();
        }
        return tokens.get(at);
    }

    private Token next() {
        Token token = peek();
        if (token.kind() != Token.Kind.END) {
            at++;
        }
        return token;
    }

    private boolean accept(String word) {
        boolean is = peek().is(word);
        if (is) {
            at++;
        }
        return is;
    }

    private void expect(String word) throws StructuredTextException {
        if (!accept(word)) {
            throw peek().expected(word);
        }
    }

    private String name(String what) throws StructuredTextException {
        Token token = next();
        if (token.kind() != Token.Kind.WORD || !Variable.isName(token.text())) {
            throw token.expected(what);
        }
        return token.text();
    }

    private Variable variable() throws StructuredTextException {
        String name = name("a variable, or END_VAR");
        Optional<Address> address = Optional.empty();
        Token place = peek();
        if (accept("AT")) {
            place = next();
            address = place.kind() == Token.Kind.ADDRESS ? Address.read(place.text()) : Optional.empty();
            if (address.isEmpty()) {
                throw place.expected("an address such as %IX0.0");
            }
        }
        expect(":");
        Token type = next();
        Optional<VariableType> known = VariableType.ofKeyword(type.text());
        if (known.isEmpty()) {
            throw type.expected("one of BOOL, TON, TOF, TP, CTU, R_TRIG, F_TRIG");
        }
        if (address.isPresent() && known.get() != VariableType.BOOL) {
            throw place.expected("no address, for " + name + " is a " + known.get());
        }
        expect(";");
        Token behind = tokens.get(at);
        boolean told = behind.kind() == Token.Kind.COMMENT
                && behind.line() == tokens.get(at - 1).line();
        return new Variable(name, known.get(), address, told ? oneLine(behind) : "");
    }

    private String oneLine(Token comment) throws StructuredTextException {
        if (comment.text().contains("\n")
                || comment.text().contains("(*")
                || comment.text().contains("*)")) {
            throw comment.expected("a comment on one line without (* and *)");
        }
        return comment.text();
    }

    private ProgramNetwork network() throws StructuredTextException {
        Token first = peek();
        String told = comment;
        if (told.contains("\n") || told.contains("(*") || told.contains("*)")) {
            throw first.expected("a comment on one line without (* and *) before it");
        }
        if (accept("IF")) {
            return setting(told);
        }
        String name = name("a statement, or END_PROGRAM");
        if (accept(":=")) {
            return assignment(told, name);
        }
        expect("(");
        return call(told, name);
    }

    private ProgramNetwork setting(String told) throws StructuredTextException {
        Logic logic = expression(false);
        expect("THEN");
        String name = name("the bit that is set or reset");
        expect(":=");
        Token value = next();
        if (!value.is("TRUE") && !value.is("FALSE")) {
            throw value.expected("TRUE or FALSE");
        }
        expect(";");
        expect("END_IF");
        expect(";");
        NetworkEnd.Coil.Kind kind = value.is("TRUE") ? NetworkEnd.Coil.Kind.SET : NetworkEnd.Coil.Kind.RESET;
        return new ProgramNetwork(told, logic, new NetworkEnd.Coil(name, kind));
    }

    private ProgramNetwork assignment(String told, String name) throws StructuredTextException {
        boolean negated = isWhollyNegated();
        if (negated) {
            at++;
        }
        Logic logic = expression(false);
        expect(";");
        NetworkEnd.Coil.Kind kind = negated ? NetworkEnd.Coil.Kind.NEGATED : NetworkEnd.Coil.Kind.NORMAL;
        return new ProgramNetwork(told, logic, new NetworkEnd.Coil(name, kind));
    }

    /** Whether all up to the semicolon is NOT and one pair of parentheses. */
    private boolean isWhollyNegated() {
        peek();
        if (!tokens.get(at).is("NOT") || !tokens.get(at + 1).is("(")) {
            return false;
        }
        int open = 0;
        for (int i = at + 1; tokens.get(i).kind() != Token.Kind.END; i++) {
            open += tokens.get(i).is("(") ? 1 : tokens.get(i).is(")") ? -1 : 0;
            if (open == 0) {
                return tokens.get(i + 1).is(";");
            }
        }
        return false;
    }

    private ProgramNetwork call(String told, String name) throws StructuredTextException {
        Token input = next();
        if (!input.is("IN") && !input.is("CU") && !input.is("CLK")) {
            throw input.expected("IN of a timer, CU of a counter or CLK of an edge");
        }
        expect(":=");
        Logic logic = expression(false);
        NetworkEnd end;
        if (input.is("IN")) {
            expect(",");
            expect("PT");
            expect(":=");
            end = new NetworkEnd.Timer(name, time());
        } else if (input.is("CU")) {
            expect(",");
            expect("R");
            expect(":=");
            Logic reset = expression(false);
            expect(",");
            expect("PV");
            expect(":=");
            end = new NetworkEnd.Counter(name, reset, number());
        } else {
            end = new NetworkEnd.Edge(name);
        }
        expect(")");
        expect(";");
        return new ProgramNetwork(told, logic, end);
    }

    private int number() throws StructuredTextException {
        Token token = next();
        if (token.kind() != Token.Kind.NUMBER) {
            throw token.expected("a number");
        }
        return Integer.parseInt(token.text());
    }

    /** The time that the whole text is. */
    long onlyTime() throws StructuredTextException {
        long millis = time();
        if (peek().kind() != Token.Kind.END) {
            throw peek().expected("nothing after a time");
        }
        return millis;
    }

    private long time() throws StructuredTextException {
        Token token = next();
        if (token.kind() != Token.Kind.TIME) {
            throw token.expected("a time such as T#3s500ms");
        }
        BigDecimal millis = BigDecimal.ZERO;
        Matcher parts = DURATION.matcher(token.text());
        while (parts.find()) {
            try {
                millis = millis.add(new BigDecimal(parts.group(1)).multiply(BigDecimal.valueOf(unit(parts.group(2)))));
            } catch (NumberFormatException unreadable) {
                throw token.expected("a time such as T#3s500ms");
            }
        }
        if (millis.compareTo(BigDecimal.valueOf(LONGEST)) > 0) {
            throw token.expected("a time of 100 days at the most");
        }
        return millis.setScale(0, RoundingMode.HALF_UP).longValueExact();
    }

    private static long unit(String unit) {
        return switch (unit.toLowerCase(Locale.ROOT)) {
            case "d" -> 24 * 3_600_000L;
            case "h" -> 3_600_000L;
            case "m" -> 60_000L;
            case "s" -> 1000L;
            default -> 1L;
        };
    }

    /** Terms joined by OR; within a NOT that is carried inwards they become a series. */
    private Logic expression(boolean negated) throws StructuredTextException {
        if (++nested > MOST_NESTED) {
            throw peek().expected("no more than " + MOST_NESTED + " parentheses in each other");
        }
        List<Logic> terms = new ArrayList<>(List.of(term(negated)));
        while (accept("OR")) {
            terms.add(term(negated));
        }
        nested--;
        return negated ? Logic.series(terms) : Logic.parallel(terms);
    }

    private Logic term(boolean negated) throws StructuredTextException {
        List<Logic> factors = new ArrayList<>(List.of(factor(negated)));
        while (accept("AND") || accept("&")) {
            factors.add(factor(negated));
        }
        return negated ? Logic.parallel(factors) : Logic.series(factors);
    }

    private Logic factor(boolean negated) throws StructuredTextException {
        boolean not = negated;
        while (accept("NOT")) {
            not = !not;
        }
        if (accept("(")) {
            Logic logic = expression(not);
            expect(")");
            return logic;
        }
        String name = name("a variable");
        if (!accept(".")) {
            return new Logic.LadderContact(new Logic.Operand(name, false), not);
        }
        if (accept("Q")) {
            return new Logic.LadderContact(new Logic.Operand(name, true), not);
        }
        expect("ET");
        Token sign = next();
        if (!sign.is(">=") && !sign.is("<")) {
            throw sign.expected(">= or <");
        }
        return new Logic.Elapsed(name, sign.is(">=") != not, time());
    }
}
