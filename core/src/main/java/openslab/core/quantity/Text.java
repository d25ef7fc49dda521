package openslab.core.quantity;

/** Words as people write them, and what no document can hold. */
public final class Text {
    private Text() {}

    /**
     * Whether every character is one: no half of a pair, and none that Unicode promises never to give a meaning (U+FFFE,
     * U+FFFF and their like), which no XML document may hold.
     */
    public static boolean isWhole(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (Character.isSurrogate(c)) {
                boolean pair = Character.isHighSurrogate(c)
                        && i + 1 < text.length()
                        && Character.isLowSurrogate(text.charAt(i + 1));
                if (!pair || isNone(text.codePointAt(i))) {
                    return false;
                }
                i++;
            } else if (isNone(c)) {
                return false;
            }
        }
        return true;
    }

    /** Whether it is words of one line: whole, without control characters and angle brackets. */
    public static boolean isLine(String text) {
        return isWhole(text) && text.chars().noneMatch(c -> Character.isISOControl(c) || c == '<' || c == '>');
    }

    private static boolean isNone(int codePoint) {
        return (codePoint & 0xfffe) == 0xfffe || codePoint >= 0xfdd0 && codePoint <= 0xfdef || codePoint == 0;
    }

    /** Its beginning, no pair cut in two. */
    public static String shortened(String text, int longest) {
        if (text.length() <= longest) {
            return text;
        }
        int end = Character.isHighSurrogate(text.charAt(longest - 1)) ? longest - 1 : longest;
        return text.substring(0, end) + "…";
    }
}
