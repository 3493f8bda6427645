# frozen_string_literal: true

module NutShelf
  module Core
    # Makes classes of values: fields by name, some with defaults, frozen once they are made. Two values of one class
    # that say the same are the same.
    module Value
      # @param fields [Array<Symbol>] nil where nothing is given
      # @param defaults [Hash{Symbol => Object}] fields that are something else where nothing is given
      # @yield the methods of the class
      # @return [Class] made by `new(name: value)`; an unknown name raises ArgumentError
      def self.of(*fields, **defaults, &methods)
        names = [*fields, *(defaults.keys - fields)].freeze
        made = Class.new { include Sameness }
        made.const_set(:FIELDS, names)
        made.const_set(:GIVEN, defaults.freeze)
        made.attr_reader(*names)
        made.class_eval(initializer(names, defaults), __FILE__, __LINE__)
        made.class_eval(&methods) if methods
        made
      end

      # Written out, field by field: thousands are made for one view, and keywords that are spelt out need no hash.
      # A field may be called as a word of the language is (`open`, `for`), so keywords are read by their binding.
      def self.initializer(names, defaults)
        taken = names.map { |name| "#{name}: #{defaults.key?(name) ? "GIVEN[:#{name}]" : "nil"}" }.join(", ")
        kept =
          names.map { |name| "@#{name} = #{word?(name) ? "binding.local_variable_get(:#{name})" : name}" }.join("\n")
        "def initialize(#{taken})\n#{kept}\nfreeze\nend"
      end

      WORDS = %w[
        alias and begin break case class def do else end ensure false for if in module next nil not or redo rescue
        retry return self super then true undef unless until when while yield
      ].freeze
      private_constant :WORDS

      def self.word?(name) = WORDS.include?(name.to_s)
      private_class_method :initializer, :word?

      # What every value can do.
      module Sameness
        # @return [Hash{Symbol => Object}]
        def to_h = self.class::FIELDS.to_h { |name| [name, instance_variable_get("@#{name}")] }

        # @param names [Array<Symbol>]
        # @return [Hash{Symbol => Object}] these fields alone
        def slice(*names) = names.to_h { |name| [name, public_send(name)] }

        # @param changes [Hash{Symbol => Object}]
        # @return the same value but for some fields
        def with(**changes) = self.class.new(**to_h, **changes)

        def ==(other) = other.instance_of?(self.class) && to_h == other.to_h
        alias eql? ==

        def hash = to_h.hash

        def inspect
          "#<#{self.class.name&.split("::")&.last} #{to_h.map do |name, value|
            "#{name}: #{value.inspect}"
          end.join(", ")}>"
        end
        alias to_s inspect
      end
    end
  end
end
