package parable.files;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import parable.program.Address;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.ProgramNetwork;
import parable.program.StructuredText;
import parable.program.Variable;
import parable.program.VariableType;

/** Reads a program from the elements of a PLCopen XML text. */
final class PlcOpenReader {

    private static final List<String> ELEMENTS =
            List.of("comment", "leftPowerRail", "rightPowerRail", "contact", "coil", "block", "inVariable");

    private final XmlNode project;
    private final Map<String, XmlNode> byId = new LinkedHashMap<>();

    PlcOpenReader(XmlNode project) {
        this.project = project;
    }

    Program program() throws PlcOpenException, ProgramException {
        if (!project.name().equals("project")) {
            throw project.refused("<" + project.name() + ">", "<project>");
        }
        project.allow(List.of("fileHeader", "contentHeader", "types", "instances"));
        XmlNode types = project.only("types");
        types.allow(List.of("dataTypes", "pous"));
        Optional<XmlNode> own = types.optional("dataTypes");
        if (own.isPresent()) {
            own.get().allow(List.of());
        }
        List<XmlNode> units = types.only("pous").all("pou");
        if (units.size() != 1 || !units.get(0).required("pouType").equals("program")) {
            throw types.refused(units.size() + " program units", "one, of pouType program");
        }
        XmlNode unit = units.get(0);
        unit.allow(List.of("interface", "body", "documentation"));
        XmlNode body = unit.only("body");
        body.allow(List.of("LD"));
        return Program.of(unit.required("name"), variables(unit.only("interface")), networks(body.only("LD")));
    }

    private static List<Variable> variables(XmlNode declared) throws PlcOpenException {
        declared.allow(List.of("localVars"));
        List<Variable> variables = new ArrayList<>();
        for (XmlNode list : declared.all("localVars")) {
            list.allow(List.of("variable"));
            for (XmlNode variable : list.children()) {
                variables.add(variable(variable));
            }
        }
        return variables;
    }

    private static Variable variable(XmlNode variable) throws PlcOpenException {
        variable.allow(List.of("type", "documentation"));
        XmlNode type = variable.only("type");
        if (type.children().size() != 1) {
            throw type.refused(type.children().size() + " types", "one");
        }
        XmlNode named = type.children().get(0);
        String word = named.name().equals("derived") ? named.required("name") : named.name();
        Optional<VariableType> known = VariableType.ofKeyword(word);
        if (known.isEmpty()) {
            throw named.refused("a " + word, "BOOL, TON, TOF, TP, CTU, R_TRIG or F_TRIG");
        }
        Optional<Address> address = Optional.empty();
        if (variable.attributes().containsKey("address")) {
            String written = variable.required("address");
            address = Address.read(written);
            if (address.isEmpty()) {
                throw variable.refused("the address " + written, "one such as %IX0.0");
            }
        }
        String comment = comment(variable, variable.optional("documentation"));
        try {
            return new Variable(variable.required("name"), known.get(), address, comment);
        } catch (IllegalArgumentException impossible) {
            throw variable.refused(
                    "a variable that cannot be: " + impossible.getMessage(), "a name and an address that fit");
        }
    }

    private static String comment(XmlNode of, Optional<XmlNode> told) throws PlcOpenException {
        String comment = told.map(XmlNode::wholeText).orElse("").replaceAll("\\s+", " ");
        if (comment.contains("(*") || comment.contains("*)")) {
            throw of.refused("a comment with (* or *)", "one without");
        }
        return comment;
    }

    private List<ProgramNetwork> networks(XmlNode diagram) throws PlcOpenException {
        diagram.allow(ELEMENTS);
        for (XmlNode element : diagram.children()) {
            if (byId.put(element.required("localId"), element) != null) {
                throw element.refused("localId " + element.required("localId") + " again", "each once");
            }
        }
        List<ProgramNetwork> networks = new ArrayList<>();
        Set<String> used = new LinkedHashSet<>();
        String comment = "";
        for (XmlNode element : diagram.children()) {
            if (element.name().equals("comment")) {
                comment = comment(element, element.optional("content"));
            } else if (element.name().equals("coil")) {
                networks.add(coil(element, comment, used));
                comment = "";
            } else if (element.name().equals("block") && !isComparison(element)) {
                networks.add(block(element, comment, used));
                comment = "";
            }
        }
        for (XmlNode element : diagram.children()) {
            boolean passes =
                    element.name().equals("contact") || element.name().equals("block") && isComparison(element);
            if (passes && !used.contains(element.required("localId"))) {
                throw element.refused(
                        "a " + element.name() + " that leads nowhere", "one on the way to a coil or block");
            }
        }
        return networks;
    }

    private static boolean isComparison(XmlNode block) throws PlcOpenException {
        return List.of("GE", "LT").contains(block.required("typeName"));
    }

    private ProgramNetwork coil(XmlNode coil, String comment, Set<String> used) throws PlcOpenException {
        coil.allow(List.of("position", "connectionPointIn", "connectionPointOut", "variable"));
        refuseEdge(coil);
        boolean negated = isTrue(coil, "negated");
        String storage = coil.attributes().getOrDefault("storage", "none");
        NetworkEnd.Coil.Kind kind =
                switch (storage) {
                    case "set" -> NetworkEnd.Coil.Kind.SET;
                    case "reset" -> NetworkEnd.Coil.Kind.RESET;
                    case "none" -> negated ? NetworkEnd.Coil.Kind.NEGATED : NetworkEnd.Coil.Kind.NORMAL;
                    default -> throw coil.refused("storage " + storage, "none, set or reset");
                };
        if (negated && !storage.equals("none")) {
            throw coil.refused("a negated coil that sets or resets", "one or the other");
        }
        Logic logic = logic(coil, coil.only("connectionPointIn"), used);
        return new ProgramNetwork(
                comment, logic, new NetworkEnd.Coil(coil.only("variable").text(), kind));
    }

    private static boolean isTrue(XmlNode element, String attribute) throws PlcOpenException {
        String value = element.attributes().getOrDefault(attribute, "false");
        if (!value.equals("true") && !value.equals("false")) {
            throw element.refused(attribute + " " + value, "true or false");
        }
        return value.equals("true");
    }

    private static void refuseEdge(XmlNode element) throws PlcOpenException {
        String edge = element.attributes().getOrDefault("edge", "none");
        if (!edge.equals("none")) {
            throw element.refused("a " + element.name() + " with a " + edge + " edge", "an R_TRIG or F_TRIG block");
        }
    }

    private ProgramNetwork block(XmlNode block, String comment, Set<String> used) throws PlcOpenException {
        String type = block.required("typeName");
        String name = block.required("instanceName");
        Map<String, XmlNode> inputs = inputs(block);
        NetworkEnd end;
        String input;
        switch (type) {
            case "TON", "TOF", "TP" -> {
                input = "IN";
                expect(block, inputs, Set.of("IN", "PT"));
                end = new NetworkEnd.Timer(name, time(value(block, inputs.get("PT"))));
            }
            case "CTU" -> {
                input = "CU";
                expect(block, inputs, Set.of("CU", "R", "PV"));
                end = new NetworkEnd.Counter(
                        name, logic(block, inputs.get("R"), used), number(value(block, inputs.get("PV"))));
            }
            case "R_TRIG", "F_TRIG" -> {
                input = "CLK";
                expect(block, inputs, Set.of("CLK"));
                end = new NetworkEnd.Edge(name);
            }
            default -> throw block.refused("a block " + type, "TON, TOF, TP, CTU, R_TRIG, F_TRIG, GE or LT");
        }
        return new ProgramNetwork(comment, logic(block, inputs.get(input), used), end);
    }

    /** What is connected to each input of a block. */
    private static Map<String, XmlNode> inputs(XmlNode block) throws PlcOpenException {
        block.allow(List.of("position", "inputVariables", "inOutVariables", "outputVariables"));
        Map<String, XmlNode> inputs = new LinkedHashMap<>();
        for (XmlNode variable : block.only("inputVariables").all("variable")) {
            if (isTrue(variable, "negated")) {
                throw variable.refused("a negated input", "a normally closed contact in front of it");
            }
            refuseEdge(variable);
            inputs.put(variable.required("formalParameter"), variable.only("connectionPointIn"));
        }
        return inputs;
    }

    private static void expect(XmlNode block, Map<String, XmlNode> inputs, Set<String> names) throws PlcOpenException {
        if (!inputs.keySet().equals(names)) {
            throw block.refused(
                    "a block " + block.required("typeName") + " with inputs " + inputs.keySet(), names.toString());
        }
    }

    /** The element that holds the value of an input. */
    private XmlNode value(XmlNode block, XmlNode connected) throws PlcOpenException {
        List<String> from = from(connected);
        XmlNode value = from.size() == 1 ? byId.get(from.get(0)) : null;
        if (value == null || !value.name().equals("inVariable")) {
            throw block.refused("an input without a value", "an inVariable");
        }
        return value.only("expression");
    }

    private static List<String> from(XmlNode connected) throws PlcOpenException {
        List<String> from = new ArrayList<>();
        for (XmlNode connection : connected.all("connection")) {
            from.add(connection.required("refLocalId"));
        }
        return from;
    }

    private static long time(XmlNode expression) throws PlcOpenException {
        Optional<Long> millis = StructuredText.readTime(expression.text());
        if (millis.isEmpty()) {
            throw expression.refused(expression.text(), "a time such as T#3s");
        }
        return millis.get();
    }

    private static int number(XmlNode expression) throws PlcOpenException {
        if (!expression.text().matches("\\d{1,9}")) {
            throw expression.refused(expression.text(), "a number");
        }
        return Integer.parseInt(expression.text());
    }

    private Logic logic(XmlNode end, XmlNode connected, Set<String> used) throws PlcOpenException {
        LadderPaths paths = new LadderPaths(id -> element(end, id), this::inputOf);
        List<LadderPaths.PathStep> steps = paths.to(end, from(connected));
        used.addAll(paths.passed());
        Optional<Logic> logic = logic(steps);
        if (logic.isEmpty()) {
            throw end.refused("a " + end.name() + " straight on the rail", "a contact before it");
        }
        return logic.get();
    }

    private XmlNode element(XmlNode end, String id) throws PlcOpenException {
        XmlNode element = byId.get(id);
        if (element == null) {
            throw end.refused("a connection to localId " + id, "an element of this number");
        }
        return element;
    }

    /** Where an element on the way comes from. */
    private List<String> inputOf(XmlNode element) throws PlcOpenException {
        if (element.name().equals("contact")) {
            return from(element.only("connectionPointIn"));
        }
        if (element.name().equals("block") && isComparison(element)) {
            Map<String, XmlNode> inputs = inputs(element);
            expect(element, inputs, Set.of("EN", "IN1", "IN2"));
            return from(inputs.get("EN"));
        }
        throw element.refused("a way through a " + element.name(), "contacts from the left rail on");
    }

    private Optional<Logic> logic(List<LadderPaths.PathStep> steps) throws PlcOpenException {
        List<Logic> parts = new ArrayList<>();
        for (LadderPaths.PathStep step : steps) {
            if (step instanceof LadderPaths.PathStep.Through through) {
                parts.add(contact(through.element()));
            } else {
                List<Logic> branches = new ArrayList<>();
                for (List<LadderPaths.PathStep> branch : ((LadderPaths.PathStep.Either) step).branches()) {
                    branches.add(logic(branch).orElseThrow());
                }
                parts.add(Logic.parallel(branches));
            }
        }
        return parts.isEmpty() ? Optional.empty() : Optional.of(Logic.series(parts));
    }

    private Logic contact(XmlNode element) throws PlcOpenException {
        if (element.name().equals("block")) {
            Map<String, XmlNode> inputs = inputs(element);
            XmlNode timer = value(element, inputs.get("IN1"));
            if (!timer.text().endsWith(".ET")) {
                throw timer.refused(timer.text(), "the elapsed time of a timer, as T1.ET");
            }
            boolean atLeast = element.required("typeName").equals("GE");
            return new Logic.Elapsed(
                    timer.text().substring(0, timer.text().length() - 3),
                    atLeast,
                    time(value(element, inputs.get("IN2"))));
        }
        element.allow(List.of("position", "connectionPointIn", "connectionPointOut", "variable"));
        refuseEdge(element);
        String name = element.only("variable").text();
        boolean output = name.endsWith(".Q");
        String variable = output ? name.substring(0, name.length() - 2) : name;
        return new Logic.LadderContact(new Logic.Operand(variable, output), isTrue(element, "negated"));
    }
}
