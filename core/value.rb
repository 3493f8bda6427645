# frozen_string_literal: true

module NutShelf
  module Core
    # Makes classes of values: fields by name, some with defaults, frozen once they are made. Two values of one class
    # that say the same are the same.
    module Value
      # @param fields [Array<Symbol>] nil where nothing is given
      # @param defaults [Hash{Symbol => Object}] fields that are something else where nothing is given
      # @yield the methods of the class
      # @return [Class] made by `new(name: value)`; an unknown name raises ArgumentError. `with(name: value)` gives the
      #   same but for some fields, `to_h` a hash of all
      def self.of(*fields, **defaults, &methods)
        names = [*fields, *(defaults.keys - fields)].freeze
        made = Class.new { include Sameness }
        made.const_set(:FIELDS, names)
        made.const_set(:GIVEN, defaults.freeze)
        made.attr_reader(*names)
        made.class_eval(written_out(names, defaults), __FILE__, __LINE__)
        made.class_eval(&methods) if methods
        made
      end

      # Written out, field by field: thousands are made for one view, and keywords that are spelt out need no hash. A
      # field may be called as a word of the language is (`for`), so such a keyword is read by its binding.
      def self.written_out(names, defaults)
        given = names.map { |name| "#{name}: #{defaults.key?(name) ? "GIVEN[:#{name}]" : "nil"}" }.join(", ")
        <<~RUBY
          def initialize(#{given})
            #{names.map { |name| "@#{name} = #{read(name)}" }.join("; ")}
            freeze
          end

          def with(#{names.map { |name| "#{name}: @#{name}" }.join(", ")})
            self.class.new(#{names.map { |name| "#{name}: #{read(name)}" }.join(", ")})
          end

          def to_h = { #{names.map { |name| "#{name}: @#{name}" }.join(", ")} }
        RUBY
      end

      # @return [String, Symbol] the code that reads a keyword of that name
      def self.read(name) = WORDS.include?(name.to_s) ? "binding.local_variable_get(:#{name})" : name

      WORDS = %w[
        alias and begin break case class def do else end ensure false for if in module next nil not or redo rescue
        retry return self super then true undef unless until when while yield
      ].freeze
      private_constant :WORDS
      private_class_method :written_out, :read

      # What every value can do.
      module Sameness
        # @param names [Array<Symbol>]
        # @return [Hash{Symbol => Object}] these fields alone
        def slice(*names) = names.to_h { |name| [name, public_send(name)] }

        # @return [Boolean] whether they are of one class and say the same
        def ==(other) = other.instance_of?(self.class) && to_h == other.to_h
        alias eql? ==

        # @return [Integer] alike for those that say the same
        def hash = to_h.hash

        # @return [String] its class and all its fields
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
